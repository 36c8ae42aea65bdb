<script setup lang="ts">
import { computed } from "vue";
import ColourSwatches from "./ColourSwatches.vue";
import EffectStyle from "./EffectStyle.vue";
import FigureStyle from "./FigureStyle.vue";
import { useHand } from "../hand";
import { useHandStyle } from "./use-style";
import WordStyle from "./WordStyle.vue";

/** How what is selected looks: only what fits all of it. */
const hand = useHand();
const { style, set, kinds, isText } = useHandStyle();

const all = (...of: string[]): boolean => [...kinds.value].every((kind) => of.includes(kind));
const hasColour = computed(() => all("text", "shape", "icon"));
const hasOutline = computed(
  () =>
    kinds.value.size === 1 &&
    all("shape", "line", "picture") &&
    hand.chosen.every(({ node }) => node.role !== "logo"),
);
</script>

<template>
  <div class="style">
    <details v-if="hasColour" open>
      <summary>Colour</summary>
      <ColourSwatches :token="style.colour" :words="isText" @pick="set({ colour: $event })" />
    </details>
    <WordStyle v-if="isText" />
    <FigureStyle v-if="hasOutline" />
    <EffectStyle />
  </div>
</template>

<style scoped>
.style {
  display: grid;
  gap: 8px;
}

.style :deep(.line) {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  align-items: center;
}

.style :deep(summary) {
  padding: 4px 0;
  cursor: pointer;
}

.style :deep(.more) {
  display: grid;
  gap: 8px;
  padding: 4px 0 8px;
}
</style>
