<script setup lang="ts">
import { useTemplateRef, watch } from "vue";
import { ATTENTION_SIDE, type Attention } from "../../core/attention";
import { predictedOn } from "./predicted";

/**
 * Over a graphic: where it is likely to be looked at first, as a glow. `source` is what is painted below it, and
 * `version` changes whenever that is painted anew.
 */
const props = defineProps<{
  source: HTMLImageElement | HTMLCanvasElement | null | undefined;
  version?: unknown;
}>();

/** Of the most that any place has, so much is shown whole; what has little is left clear. */
const WHOLE = 0.6;
const CLEAR = 1.5;
const map = useTemplateRef("map");

function draw(attention: Attention): void {
  const context = map.value?.getContext("2d");
  if (!context) return;
  const most = Math.max(...attention);
  const image = context.createImageData(ATTENTION_SIDE, ATTENTION_SIDE);
  for (const [i, value] of attention.entries()) {
    const glow = Math.min(1, value / most / WHOLE) ** CLEAR;
    image.data.set([240, 100, 30, 235 * glow], 4 * i);
  }
  context.putImageData(image, 0, 0);
}

watch(
  () => [props.source, props.version] as const,
  async ([source]) => {
    if (!source) return;
    if (source instanceof HTMLImageElement) await source.decode().catch(() => undefined);
    const found = await predictedOn(source).catch(() => undefined);
    if (found && source === props.source) draw(found);
  },
  { immediate: true, flush: "post" },
);
</script>

<template>
  <canvas
    ref="map"
    class="map"
    :width="ATTENTION_SIDE"
    :height="ATTENTION_SIDE"
    role="img"
    aria-label="Where it is likely to be looked at first"
  ></canvas>
</template>

<style scoped>
.map {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  background: rgb(20 26 24 / 0.38);
  pointer-events: none;
}
</style>
