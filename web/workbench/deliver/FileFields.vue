<script setup lang="ts">
import type { ImageFormat } from "../../../core/api";

/** In which form files are made: their format, and how many pixels for each of the placement's. */
const format = defineModel<ImageFormat>("format", { required: true });
const scale = defineModel<1 | 2>("scale", { required: true });
</script>

<template>
  <div class="files">
    <label>
      Files
      <select v-model="format" class="field">
        <option value="png">PNG</option>
        <option value="jpeg">JPEG</option>
        <option value="webp">WebP</option>
        <option value="svg">SVG, words as outlines</option>
      </select>
    </label>
    <label>
      Scale
      <select v-model="scale" class="field">
        <option :value="1">the size itself</option>
        <option :value="2">twice the size</option>
      </select>
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
