<script setup lang="ts">
import { NSlider } from "naive-ui";
import { onMounted, useTemplateRef, watch } from "vue";

/** A number on a scale. The package's handle has no name, so it is given one here. */
const props = defineProps<{ label: string; min: number; max: number; step: number }>();
const number = defineModel<number>({ required: true });

const root = useTemplateRef("root");

function tell(): void {
  root.value?.querySelector("[role='slider']")?.setAttribute("aria-label", props.label);
}

onMounted(tell);
watch(() => props.label, tell);
</script>

<template>
  <div ref="root">
    <NSlider v-model:value="number" :min="min" :max="max" :step="step" :tooltip="false" />
  </div>
</template>
