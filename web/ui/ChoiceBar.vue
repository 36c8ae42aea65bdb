<script setup lang="ts" generic="T extends string">
import { NRadioButton, NRadioGroup } from "naive-ui";

/** One of a few, all in sight. */
defineProps<{ label: string; options: readonly { value: T; label: string }[] }>();
const value = defineModel<T>({ required: true });
</script>

<template>
  <NRadioGroup v-model:value="value" :aria-label="label" class="choices">
    <NRadioButton
      v-for="option in options"
      :key="option.value"
      :value="option.value"
      :label="option.label"
    />
  </NRadioGroup>
</template>

<style scoped>
.choices {
  display: flex;
}

.choices > :deep(.n-radio-button) {
  flex: 1;
  text-align: center;
}
</style>
