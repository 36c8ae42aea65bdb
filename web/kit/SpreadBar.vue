<script setup lang="ts">
import { computed } from "vue";
import type { BrandColour } from "../../core/brand";
import { hexOf, type ColourRole, type Spread } from "../../core/colour";

/** A spread as a bar of its colours, the ground widest. */
const props = defineProps<{ colours: readonly BrandColour[]; spread: Spread }>();

const PARTS: [ColourRole, number][] = [
  ["backdrop", 6],
  ["ornament", 2],
  ["headline", 2],
  ["action", 2],
];
const bars = computed(() =>
  PARTS.map(([role, width]) => ({ role, width, hex: hexOf(props.colours, props.spread[role]) })),
);
</script>

<template>
  <span class="bar" aria-hidden="true">
    <i
      v-for="{ role, width, hex } in bars"
      :key="role"
      :style="{ flex: width, background: hex }"
    ></i>
  </span>
</template>

<style scoped>
.bar {
  display: flex;
  width: 144px;
  height: 28px;
  outline: 1px solid var(--line);
  outline-offset: -1px;
}
</style>
