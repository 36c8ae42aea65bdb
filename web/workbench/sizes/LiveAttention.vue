<script setup lang="ts">
import { watchDebounced } from "@vueuse/core";
import { ref } from "vue";
import HeatMap from "../../attention/HeatMap.vue";
import type { Wall } from "../../wall/use-wall";

/** Where a size is likely to be looked at, anew once it rests after a change. */
const props = defineProps<{ wall: Wall; canvas: HTMLCanvasElement | null | undefined }>();
const painted = ref(0);
/** Milliseconds until what was painted is there to be read. */
const REST = 120;
watchDebounced(
  [() => props.wall.busy.value, () => props.wall.reports.value],
  () => painted.value++,
  {
    debounce: REST,
    immediate: true,
  },
);
</script>

<template>
  <HeatMap :source="canvas" :version="painted" />
</template>
