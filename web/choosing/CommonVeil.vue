<script setup lang="ts">
import { onMounted, useTemplateRef, watch } from "vue";

/** Over a graphic: what it has in common with those beside it is veiled, so that only what differs is seen. */
const props = defineProps<{ veil: ImageData }>();
const canvas = useTemplateRef("canvas");

const draw = (): void => canvas.value?.getContext("2d")?.putImageData(props.veil, 0, 0);
onMounted(draw);
watch(() => props.veil, draw, { flush: "post" });
</script>

<template>
  <canvas ref="canvas" class="veil" :width="veil.width" :height="veil.height"></canvas>
</template>

<style scoped>
.veil {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
</style>
