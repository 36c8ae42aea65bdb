<script setup lang="ts">
import type { ImageFormat } from "../../../core/api";
import SelectField from "../../ui/SelectField.vue";

/** In which form files are made: their format, and how many pixels for each of the placement's. */
const format = defineModel<ImageFormat>("format", { required: true });
const scale = defineModel<1 | 2>("scale", { required: true });

const FORMATS = [
  { value: "png", label: "PNG" },
  { value: "jpeg", label: "JPEG" },
  { value: "webp", label: "WebP" },
  { value: "svg", label: "SVG, words as outlines" },
] as const;
const SCALES = [
  { value: 1, label: "actual size" },
  { value: 2, label: "double size" },
] as const;
</script>

<template>
  <div class="files">
    <label>
      Files
      <SelectField v-model="format" label="Files" :options="FORMATS" />
    </label>
    <label>
      Scale
      <SelectField v-model="scale" label="Scale" :options="SCALES" />
    </label>
  </div>
</template>

<style scoped>
.files {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}

label {
  display: grid;
  gap: 4px;
  color: var(--quiet);
  font-size: 12.5px;
}
</style>
