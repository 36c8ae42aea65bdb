<script setup lang="ts">
import { NInputNumber } from "naive-ui";

/** A number with steps; undefined when it is empty. What may be typed is for the schema of the form to say. */
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
    :input-props="props.label ? { 'aria-label': props.label } : {}"
    @update:value="number = $event ?? undefined"
  />
</template>
