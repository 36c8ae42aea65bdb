<script setup lang="ts">
import { NInputNumber } from "naive-ui";
import { useId } from "vue";
import { readSum } from "../../core/arranging";

/** A number with steps; undefined when it is empty. What may be typed is for the schema of the form to say. */
const props = defineProps<{
  label?: string;
  min?: number;
  max?: number;
  step?: number;
  placeholder?: string;
  size?: "small" | "medium";
  /** Sums are taken too, such as 1080/3. */
  sums?: boolean;
  /** What is wrong with it, in words. */
  error?: string | undefined;
}>();
const number = defineModel<number>();
const reason = useId();

const parse = (typed: string): number | null => readSum(typed) ?? null;

const input = () => ({
  ...(props.label ? { "aria-label": props.label } : {}),
  ...(props.error ? { "aria-invalid": "true" as const, "aria-describedby": reason } : {}),
});
</script>

<template>
  <div class="with-error">
    <NInputNumber
      class="number"
      :value="number ?? null"
      :min="min"
      :max="max"
      :step="step ?? 1"
      :placeholder="placeholder ?? ''"
      :size="size ?? 'medium'"
      :input-props="input()"
      v-bind="sums ? { parse, showButton: false } : {}"
      :status="error ? 'error' : undefined"
      @update:value="number = $event ?? undefined"
    />
    <span v-if="error" :id="reason" class="wrong" role="alert">{{ error }}</span>
  </div>
</template>

<style scoped>
/* Whoever uses it may say another width. */
:where(.with-error) {
  width: 100%;
  min-width: 0;
}
</style>
