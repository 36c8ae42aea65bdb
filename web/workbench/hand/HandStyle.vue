<script setup lang="ts">
import { NButton, NButtonGroup } from "naive-ui";
import { computed } from "vue";
import type { Style } from "../../../core/piece";
import SliderField from "../../ui/SliderField.vue";
import NumberField from "../../ui/NumberField.vue";
import { usePiece } from "../piece";
import { useHand } from "./hand";

/** How what is selected looks: only what fits all of it. */
const hand = useHand();
const open = usePiece();

const kinds = computed(() => new Set(hand.chosen.map(({ node }) => node.kind)));
const isText = computed(() => kinds.value.size === 1 && kinds.value.has("text"));
const hasColour = computed(() =>
  [...kinds.value].every((kind) => ["text", "shape", "icon", "line"].includes(kind)),
);
/** What the first of them has on this size: its own, or the composition’s. */
const style = computed((): Style => {
  const first = hand.chosen[0];
  if (!first) return {};
  const own = hand.isLead
    ? undefined
    : open.piece?.sizes.find(({ placement }) => placement === hand.placement?.id)?.changes[
        first.id
      ];
  return { ...first.node.style, ...own?.style };
});
const set = (part: Style): void => hand.change({ style: part });

const contrast = computed(() => hand.chosen[0]?.report.contrast);
const fontSize = computed(() => hand.chosen[0]?.report.fontSize);
function resize(size: number | undefined): void {
  if (size !== undefined && size >= 1)
    hand.resizeText(new Map(hand.chosen.map(({ id }) => [id, size])));
}

const OPACITY = {
  key: "opacity",
  label: "Opacity",
  usual: 1,
  min: 0.05,
  max: 1,
  step: 0.05,
} as const;
const OF_WORDS = [
  { key: "leading", label: "Between lines", usual: 1.2, min: 0.8, max: 1.8, step: 0.02 },
  { key: "tracking", label: "Between letters", usual: 0, min: -0.06, max: 0.3, step: 0.01 },
] as const;
const sliders = computed(() => [...(isText.value ? OF_WORDS : []), OPACITY]);

const ALIGNS = [
  { value: "left", label: "Left" },
  { value: "centre", label: "Centre" },
  { value: "right", label: "Right" },
] as const;
</script>

<template>
  <div class="style">
    <template v-if="hasColour && open.brand">
      <span class="quiet small">
        Colour
        <span v-if="isText && contrast" class="number">({{ contrast.toFixed(1) }} : 1)</span>
      </span>
      <div class="swatches">
        <button
          v-for="colour in open.brand.colours"
          :key="colour.id"
          class="swatch"
          :style="{ background: colour.hex }"
          :aria-label="colour.name"
          :aria-pressed="style.colour === colour.id"
          :title="colour.name"
          @click="set({ colour: colour.id })"
        ></button>
      </div>
    </template>
    <template v-if="isText">
      <label class="line">
        <span class="quiet small">Size</span>
        <NumberField
          size="small"
          sums
          label="Size of the words"
          :model-value="fontSize === undefined ? undefined : Math.round(fontSize * 10) / 10"
          @update:model-value="resize"
        />
      </label>
      <NButtonGroup size="small">
        <NButton
          v-for="{ value, label } in ALIGNS"
          :key="value"
          :aria-pressed="style.align === value"
          :secondary="style.align === value"
          @click="set({ align: value })"
        >
          {{ label }}
        </NButton>
        <NButton
          :aria-pressed="style.case === 'upper'"
          :secondary="style.case === 'upper'"
          title="Capitals"
          @click="set({ case: style.case === 'upper' ? 'as-typed' : 'upper' })"
        >
          AA
        </NButton>
      </NButtonGroup>
    </template>
    <label v-for="{ key, label, usual, ...range } in sliders" :key="key" class="line">
      <span class="quiet small">{{ label }}</span>
      <SliderField
        v-bind="range"
        :label="label"
        :model-value="style[key] ?? usual"
        @update:model-value="set({ [key]: $event })"
      />
    </label>
  </div>
</template>

<style scoped>
.style {
  display: grid;
  gap: 8px;
}

.swatches {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.swatch {
  width: 26px;
  height: 26px;
  padding: 0;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  cursor: pointer;
}

.swatch[aria-pressed="true"] {
  outline: 3px solid var(--zest);
  outline-offset: 1px;
}

.line {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  align-items: center;
}
</style>
