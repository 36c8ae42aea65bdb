<script setup lang="ts">
import { onBeforeUnmount, onMounted, useTemplateRef, watch } from "vue";
import type { Placement } from "../../core/placements";
import { attachCanvas, detachCanvas, newTileKey } from "../wall/painter";
import type { Wall } from "../wall/use-wall";

/** One size of a piece, live. `width` is CSS pixels on the page. */
const props = defineProps<{
  wall: Wall;
  placement: Placement;
  width: number;
  label: string;
  /** The name under which it may have been made ready. */
  prepared?: string;
}>();

const canvas = useTemplateRef("canvas");
const key = newTileKey();
defineExpose({ canvas });

function register(): void {
  const pixels = Math.max(1, Math.round(props.width * window.devicePixelRatio));
  props.wall.add({ key, placement: props.placement, pixels });
}

onMounted(() => {
  attachCanvas(key, canvas.value!, props.prepared);
  register();
});
watch(() => [props.width, props.placement], register);
onBeforeUnmount(() => {
  props.wall.remove(key);
  detachCanvas(key);
});
</script>

<template>
  <canvas
    ref="canvas"
    role="img"
    :aria-label="label"
    :aria-busy="wall.busy.value"
    :style="{
      width: `${width}px`,
      height: `${Math.max(1, Math.round((width * placement.height) / placement.width))}px`,
    }"
  ></canvas>
</template>

<style scoped>
canvas {
  display: block;
}
</style>
