<script setup lang="ts">
import { NButton, NCheckbox } from "naive-ui";
import { computed, ref, watch } from "vue";
import { slotName } from "../../../core/message";
import type { PictureStyle } from "../../../core/piece";
import type { Placement } from "../../../core/placements";
import { usePiece } from "../piece";
import FilterTiles from "./FilterTiles.vue";
import { MOST_ZOOM, usePictureStyle } from "./use-picture-style";
import SelectField from "../../ui/SelectField.vue";
import SliderField from "../../ui/SliderField.vue";

/** How a picture stands in its frame, and what is done to it; on all sizes, or on the selected one. */
const props = defineProps<{ placement: Placement }>();

const open = usePiece();
const chosen = ref(0);
const onlyHere = ref(false);
const { pictures, isLocal, styleOf, zoomOf, zoomTo, adjust, release } = usePictureStyle({
  placement: () => props.placement.id,
  local: () => onlyHere.value,
});
const shown = computed(() => pictures.value[Math.min(chosen.value, pictures.value.length - 1)]);
const isLead = computed(() => open.piece?.lead === props.placement.id);
// What a size has of its own is changed there; the lead has nothing but what all have.
watch(
  () => [props.placement.id, isLocal.value] as const,
  ([, local]) => (onlyHere.value = local && !isLead.value),
  { immediate: true },
);

type Adjust = NonNullable<PictureStyle["adjust"]>;
const amounts: { name: string; key: "brightness" | "contrast" | "saturation" | "warmth" }[] = [
  { name: "Brightness", key: "brightness" },
  { name: "Contrast", key: "contrast" },
  { name: "Saturation", key: "saturation" },
  { name: "Warmth", key: "warmth" },
];
const current = computed(() => shown.value && styleOf(shown.value).adjust);

/** Nothing is kept of an amount that does nothing. */
function setAmount(key: keyof Adjust, value: number): void {
  const { [key]: _before, ...rest } = current.value ?? {};
  const next = value === 0 ? rest : { ...rest, [key]: value };
  if (shown.value) adjust(shown.value, Object.keys(next).length > 0 ? next : undefined);
}
</script>

<template>
  <section v-if="shown && open.brand && open.piece" class="panel" aria-label="Picture">
    <header>
      <h3>{{ slotName(shown.node.slot!) }}</h3>
      <SelectField
        v-if="pictures.length > 1"
        v-model="chosen"
        label="Which picture"
        size="small"
        :options="pictures.map((one, value) => ({ value, label: slotName(one.node.slot!) }))"
      />
    </header>
    <NCheckbox v-if="!isLead" v-model:checked="onlyHere">Only on this size</NCheckbox>
    <label class="amount">
      <span>Zoom <b class="number">{{ Math.round(100 * zoomOf(shown)) }} %</b></span>
      <SliderField
        label="Zoom"
        :min="1"
        :max="MOST_ZOOM"
        :step="0.05"
        :model-value="zoomOf(shown)"
        @update:model-value="zoomTo(shown, $event)"
      />
    </label>
    <p class="quiet small">
      Open a size large (Enter) to drag the picture.
      <NButton v-if="styleOf(shown).framing" quaternary @click="release(shown)">
        Reset framing
      </NButton>
    </p>
    <details>
      <summary>Filters</summary>
      <FilterTiles
        :picture="shown.file.id"
        :brand="open.brand"
        :spread="open.piece.spread"
        :current="current"
        @pick="adjust(shown, $event)"
      />
    </details>
    <details>
      <summary>Adjust</summary>
      <label v-for="{ name, key } in amounts" :key="key" class="amount">
        <span>
          {{ name }}
          <b class="number">{{ Math.round(100 * (current?.[key] ?? 0)) }}</b>
        </span>
        <SliderField
          :label="name"
          :min="-1"
          :max="1"
          :step="0.05"
          :model-value="current?.[key] ?? 0"
          @update:model-value="setAmount(key, $event)"
        />
      </label>
    </details>
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  gap: 8px;
  padding: 14px 0;
  border-top: 1px solid var(--line);
  font-size: 13px;
}

header {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
}

.amount {
  display: grid;
  gap: 2px;
}

.amount b {
  font-weight: 400;
}

.amount span {
  display: flex;
  justify-content: space-between;
}

summary {
  padding: 4px 0 8px;
  cursor: pointer;
}
</style>
