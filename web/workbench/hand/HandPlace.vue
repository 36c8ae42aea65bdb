<script setup lang="ts">
import { refThrottled } from "@vueuse/core";
import { computed } from "vue";
import type { Box } from "../../../core/geometry";
import NumberField from "../../ui/NumberField.vue";
import { useHand } from "./hand";

/** Where the one that is selected stands, in output pixels of the size; apart from the rest, since it changes as it is moved. */
const hand = useHand();
const at = computed(() => [...hand.outlines][0]);
/** Four fields cost more than a frame has: while something is dragged they are filled in so often, in milliseconds. */
const EACH = 100;
const slower = refThrottled(at, EACH);
const shown = computed(() => (hand.draft ? slower.value : at.value));
const FIELDS = [
  { key: "x", label: "X" },
  { key: "y", label: "Y" },
  { key: "width", label: "Width" },
  { key: "height", label: "Height" },
] as const;

function put(key: keyof Box, value: number | undefined): void {
  if (!at.value || value === undefined) return;
  const [id, box] = at.value;
  const least = key === "width" || key === "height" ? 1 : -Infinity;
  hand.put(new Map([[id, { ...box, [key]: Math.max(least, value) }]]));
}
const tidy = (value: number): number => Math.round(value * 10) / 10;
</script>

<template>
  <div v-if="shown" class="fields">
    <label v-for="{ key, label } in FIELDS" :key="key">
      <span class="quiet small">{{ label }}</span>
      <NumberField
        size="small"
        sums
        :label="label"
        :model-value="tidy(shown[1][key])"
        @update:model-value="put(key, $event)"
      />
    </label>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
</style>
