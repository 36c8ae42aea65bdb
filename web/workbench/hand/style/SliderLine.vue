<script setup lang="ts">
import SliderField from "../../../ui/SliderField.vue";

/** A slider in a row of the ledger. `of` says what it belongs to, for who cannot see what stands around it. */
defineProps<{
  label: string;
  of?: string;
  min: number;
  max: number;
  step: number;
}>();
const number = defineModel<number>({ required: true });
</script>

<template>
  <label class="line">
    <span class="quiet small">{{ label }}</span>
    <SliderField
      v-model="number"
      :label="of ? `${label} ${of}` : label"
      :min="min"
      :max="max"
      :step="step"
    />
  </label>
</template>
