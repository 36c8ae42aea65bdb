<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import type { FileId } from "../../../core/files";
import { box, type Box } from "../../../core/geometry";
import { freeId } from "../../../core/id";
import type { Across, Piece } from "../../../core/piece";
import { freeBand, slideCount, withTakenIn } from "../../../core/strip";
import PictureShelf from "../../common/PictureShelf.vue";
import NumberField from "../../ui/NumberField.vue";
import TextField from "../../ui/TextField.vue";
import { usePiece } from "../piece";

/** What runs across the folds of a strip: from which slide, over how many, and where down the frame. */
const props = defineProps<{ strip: Piece }>();
const open = usePiece();
const across = computed(() => props.strip.across ?? []);
const shelfShown = ref(false);

const NAMES: Record<Across["kind"], string> = {
  picture: "Picture",
  shape: "Drawing",
  line: "Line",
  icon: "Icon",
  text: "Words",
};

const put = (to: readonly Across[]): void => open.becomeWhole({ ...props.strip, across: [...to] });
const change = (id: string, part: Partial<Across>): void =>
  put(across.value.map((one) => (one.id === id ? { ...one, ...part } : one)));

function add(kind: Across["kind"], at: Box, part: Omit<Across, "id" | "kind" | "at">): void {
  const id = freeId(`${kind}-1`, new Set(across.value.map((one) => one.id)), kind);
  put([...across.value, { id, kind, at, ...part }]);
}
const all = computed(() => slideCount(props.strip));
const lay = (picture: FileId): void =>
  add("picture", box(0, 0, all.value, 0.5), { picture, style: {} });
const layBand = (): void =>
  add("shape", box(0, 0.976, all.value, 0.024), {
    style: { shape: "rectangle", colour: "action" },
  });
/** Over the next fold, as large as a headline, where there is most room for it. */
const HIGH = 0.12;
function write(): void {
  const first = Math.max(0, Math.min(open.slide, all.value - 2));
  const y = freeBand(props.strip, [first, first + 1], HIGH);
  add("text", box(first + 0.08, y, Math.min(1.84, all.value - 0.16), HIGH), {
    text: "Words across slides",
    style: { type: "headline", colour: "headline", weight: 700, leading: 0.95 },
  });
}

/** From which slide, over how many, from which share of the height and over how much of it. */
const MEASURES = [
  { key: "x", label: "From slide", min: -1, shift: 1, times: 1 },
  { key: "width", label: "Over slides", min: 0.1, shift: 0, times: 1 },
  { key: "y", label: "Down, %", min: -100, shift: 0, times: 100 },
  { key: "height", label: "High, %", min: 0.1, shift: 0, times: 100 },
] as const;
const measured = (at: Box, { key, times, shift }: (typeof MEASURES)[number]): number =>
  Math.round((at[key] * times + shift) * 100) / 100;
</script>

<template>
  <h3>Across the folds</h3>
  <div v-for="{ id, at, kind, text } in across" :key="id" class="item">
    <span class="quiet small">{{ NAMES[kind] }}</span>
    <TextField
      v-if="text !== undefined"
      size="small"
      label="Words across the folds"
      :maxlength="200"
      :model-value="text"
      @change="change(id, { text: $event })"
    />
    <div class="measures">
      <label v-for="one in MEASURES" :key="one.key">
        <span class="quiet small">{{ one.label }}</span>
        <NumberField
          size="small"
          :label="`${one.label} of the ${NAMES[kind].toLowerCase()} across the folds`"
          :min="one.min + one.shift"
          :step="one.times === 100 ? 5 : 0.25"
          :model-value="measured(at, one)"
          @update:model-value="
            $event !== undefined &&
            change(id, { at: { ...at, [one.key]: ($event - one.shift) / one.times } })
          "
        />
      </label>
    </div>
    <span class="row-of-actions">
      <NButton size="small" quaternary @click="open.becomeWhole(withTakenIn(strip, id))">
        Onto one slide
      </NButton>
      <NButton size="small" quaternary @click="put(across.filter((one) => one.id !== id))">
        Take it out
      </NButton>
    </span>
  </div>
  <span class="row-of-actions">
    <NButton size="small" @click="shelfShown = true">A picture across slides</NButton>
    <NButton size="small" @click="write">Words across slides</NButton>
    <NButton size="small" @click="layBand">A band across slides</NButton>
  </span>
  <PictureShelf v-model:shown="shelfShown" :brand="strip.brand" @picked="lay" />
</template>

<style scoped>
.item {
  display: grid;
  gap: 6px;
}

.measures {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px;
}
</style>
