<script setup lang="ts">
import { NInputNumber } from "naive-ui";

/** A number with steps; undefined when it is empty. It is given on when one leaves the field or presses Enter. */
const props = defineProps<{
  label?: string;
  min?: number;
  max?: number;
  step?: number;
  placeholder?: string;
  size?: "small" | "medium";
}>();
const number = defineModel<number>();
</script>

<template>
  <NInputNumber
    class="number"
    :value="number ?? null"
    :min="min"
    :max="max"
    :step="step ?? 1"
    :placeholder="placeholder ?? ''"
    :size="size ?? 'medium'"
    :update-value-on-input="false"
    :input-props="props.label ? { 'aria-label': props.label } : {}"
    @update:value="number = $event ?? undefined"
  />
</template>
