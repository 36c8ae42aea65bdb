<script setup lang="ts">
import { NButton, NCheckbox, NCheckboxGroup } from "naive-ui";
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from "vue";
import { isUnderWay, type DeliveryAnswer, type ImageFormat } from "../../../core/api";
import { checkPattern, DEFAULT_PATTERN } from "../../../core/batch";
import { api } from "../../api/client";
import type { Placement } from "../../../core/placements";
import { emptySlides, partsFor, slidesFor, tooManyFor } from "../../../core/strip";
import { counted, listed } from "../../common/counted";
import DeliveryList from "../../common/DeliveryList.vue";
import FileFields from "./FileFields.vue";
import InLedger from "../InLedger.vue";
import OutdatedList from "../../common/OutdatedList.vue";
import GraphicTile from "../../common/GraphicTile.vue";
import SheetLinks from "../SheetLinks.vue";
import { useMadeBatches } from "../batch/made";
import { useBatches } from "../batch/use-batches";
import { usePiece } from "../piece";
import { useToasts } from "../../common/toasts";
import { wallWidths } from "../../wall/packing";
import { useSharedWall } from "../../wall/wall-key";
import TextField from "../../ui/TextField.vue";

/** What is handed over: chosen sizes and batches in one zip, with names that can be found again. */
const open = usePiece();
const made = useMadeBatches();
useBatches();
const toasts = useToasts();
const wall = useSharedWall();

const sizes = ref<string[]>([]);
const batches = ref<string[]>([]);
const format = ref<ImageFormat>("png");
const scale = ref<1 | 2>(1);
const pattern = ref(DEFAULT_PATTERN);
/** A strip that is longer than a channel shows goes there in parts. */
const inParts = ref(true);
const deliveries = shallowRef<DeliveryAnswer[]>([]);
let timer: ReturnType<typeof setTimeout> | undefined;

const placements = computed(() => open.placements);
const withFiles = computed(() => made.batches.filter((one) => one.made > 0));
/** Of a strip, every slide where the channel shows a row of them. */
const filesOf = (placement: Placement): number =>
  open.whole ? slidesFor(open.whole, placement).length : 1;
function slidesNote(placement: Placement): string {
  const files = filesOf(placement);
  const most = open.whole && tooManyFor(open.whole, placement);
  if (!most || !open.whole) return files > 1 ? `, ${files} slides` : "";
  const parts = partsFor(open.whole, placement).map(({ length }) => String(length));
  return inParts.value
    ? `, ${files} slides in ${parts.length} parts: ${listed(parts)}`
    : `, ${files} slides (the channel shows ${most})`;
}
/** Slides that say nothing go to no channel. */
const empty = computed(() =>
  open.whole ? emptySlides(open.whole).map((at) => String(at + 1)) : [],
);
const tooMany = computed(() =>
  placements.value.some(
    (one) => sizes.value.includes(one.id) && open.whole && tooManyFor(open.whole, one),
  ),
);
const count = computed(
  () =>
    placements.value
      .filter(({ id }) => sizes.value.includes(id))
      .reduce((sum, placement) => sum + filesOf(placement), 0) +
    withFiles.value
      .filter((one) => batches.value.includes(one.id))
      .reduce((sum, one) => sum + one.made, 0),
);
const allChosen = computed(() => sizes.value.length === placements.value.length);
const widths = computed(() => wallWidths(open.placements, 0.6));

onMounted(async () => {
  sizes.value = placements.value.map((placement) => placement.id);
  await refresh();
});
onBeforeUnmount(() => clearTimeout(timer));
watch(placements, (now) => {
  const ids = new Set(now.map((placement) => placement.id));
  sizes.value = sizes.value.filter((id) => ids.has(id));
});

async function refresh(): Promise<void> {
  clearTimeout(timer);
  if (!open.piece) return;
  const answer = await api.deliveries(open.piece.id).catch(() => undefined);
  if (answer) deliveries.value = answer.deliveries;
  const more = deliveries.value.some(({ state }) => isUnderWay(state));
  if (more) timer = setTimeout(() => void refresh(), 400);
}

function toggle(id: string): void {
  const without = sizes.value.filter((other) => other !== id);
  sizes.value = without.length < sizes.value.length ? without : [...sizes.value, id];
}

/** What is wrong with the pattern of the names, in words. */
const badPattern = computed(() => {
  try {
    checkPattern(pattern.value);
    return undefined;
  } catch (error) {
    return (error as Error).message;
  }
});

async function make(): Promise<void> {
  if (!open.piece) return;
  try {
    await open.save();
    await api.deliver(open.piece.id, {
      sizes: sizes.value,
      batches: batches.value.map((id) => ({ id })),
      format: format.value,
      scale: scale.value,
      parts: inParts.value && tooMany.value,
      pattern: pattern.value.trim() || DEFAULT_PATTERN,
    });
    await refresh();
  } catch (error) {
    toasts.fail(error);
  }
}

const time = (value: string): string =>
  new Date(value).toLocaleString(undefined, { dateStyle: "medium", timeStyle: "short" });
</script>

<template>
  <div class="deliver">
    <header>
      <h2>Deliver</h2>
      <span class="space"></span>
      <NButton quaternary @click="sizes = allChosen ? [] : placements.map((p) => p.id)">
        {{ allChosen ? "Choose none" : "Choose all" }}
      </NButton>
      <SheetLinks />
    </header>
    <p v-if="empty.length > 0" class="quiet small" role="status">
      {{ empty.length === 1 ? "Slide" : "Slides" }} {{ listed(empty) }}
      {{ empty.length === 1 ? "says" : "say" }} nothing and
      {{ empty.length === 1 ? "stays" : "stay" }}
      behind.
    </p>
    <div class="tiles">
      <div
        v-for="placement in placements"
        :key="placement.id"
        :class="{ off: !sizes.includes(placement.id) }"
        :style="{ width: `${Math.max(120, widths.get(placement.id) ?? 1)}px` }"
      >
        <GraphicTile
          :wall="wall"
          :placement="placement"
          :width="widths.get(placement.id) ?? 1"
          :label="placement.name"
          @click="toggle(placement.id)"
        /><NCheckbox
          class="name"
          :checked="sizes.includes(placement.id)"
          @update:checked="toggle(placement.id)"
          >{{ placement.name }}{{ slidesNote(placement) }}</NCheckbox
        >
      </div>
    </div>
    <OutdatedList v-if="open.brand && open.piece" :brand="open.brand" :piece="open.piece.id" />
    <InLedger>
      <fieldset v-if="withFiles.length">
        <legend>Batches</legend>
        <NCheckboxGroup v-model:value="batches"
          ><NCheckbox v-for="one in withFiles" :key="one.id" :value="one.id"
            >{{ one.variations }} variations, {{ one.made }} files,
            {{ time(one.started) }}</NCheckbox
          ></NCheckboxGroup
        >
      </fieldset>
      <section class="form" aria-label="Files">
        <FileFields v-model:format="format" v-model:scale="scale" />
        <NCheckbox v-if="tooMany" v-model:checked="inParts">
          In parts where a channel shows fewer slides, each marked on its first
        </NCheckbox>
        <label>
          Names
          <TextField v-model="pattern" class="pattern" :rows="3" :error="badPattern" />
        </label>
        <NButton type="primary" :disabled="count === 0 || !!badPattern" @click="make">
          {{ count === 0 ? "Nothing chosen" : `Make a zip of ${counted(count, "file")}` }}
        </NButton>
      </section>
      <DeliveryList class="made" title="Made so far" :deliveries="deliveries" @changed="refresh" />
    </InLedger>
  </div>
</template>

<style scoped>
.made {
  padding-top: 16px;
  margin-top: 20px;
  border-top: 1px solid var(--line);
}

.deliver {
  display: grid;
  gap: 20px;
  align-content: start;
  padding: 16px 22px 48px;
}

header {
  display: flex;
  align-items: center;
  min-height: 32px;
}

.space {
  flex: 1;
}

.tiles {
  display: flex;
  flex-wrap: wrap;
  gap: 20px 16px;
  align-items: end;
}

.tiles > div {
  display: grid;
  gap: 6px;
  font-size: 12.5px;
  line-height: 1.3;
  cursor: pointer;
}

.tiles .off canvas {
  opacity: 0.35;
}

fieldset {
  display: grid;
  gap: 4px;
  padding: 0;
  margin: 0;
  border: 0;
}

legend {
  padding-bottom: 4px;
  font-weight: 650;
}

.form {
  display: grid;
  gap: 14px;
}

fieldset + .form {
  padding-top: 16px;
  margin-top: 16px;
  border-top: 1px solid var(--line);
}

.form label {
  display: grid;
  gap: 4px;
  color: var(--quiet);
  font-size: 12.5px;
}

.pattern {
  min-height: 76px;
  font-size: 13px;
  resize: vertical;
}
</style>
