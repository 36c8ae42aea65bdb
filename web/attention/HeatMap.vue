<script setup lang="ts">
import { onBeforeUnmount, useTemplateRef, watch } from "vue";
import { ATTENTION_SIDE, type Attention, type Pixels } from "../../core/attention";

/** Over a graphic: where it is likely to be looked at first, as a glow. `source` is what is painted below it. */
const props = defineProps<{ source: HTMLImageElement | HTMLCanvasElement | undefined }>();

/** Pixels a side that are handed on; more would not be looked at. */
const SIDE = 3 * ATTENTION_SIDE;
/** Of the most that any place has, so much is shown whole; what has little is left clear. */
const WHOLE = 0.6;
const map = useTemplateRef("map");
const worker = new Worker(new URL("./worker.ts", import.meta.url), { type: "module" });
onBeforeUnmount(() => worker.terminate());
worker.onmessage = ({ data }: MessageEvent<Attention>) => draw(data);

function pixelsOf(source: HTMLImageElement | HTMLCanvasElement): Pixels {
  const canvas = new OffscreenCanvas(SIDE, SIDE);
  const context = canvas.getContext("2d", { willReadFrequently: true })!;
  context.imageSmoothingQuality = "high";
  context.drawImage(source, 0, 0, SIDE, SIDE);
  return {
    data: context.getImageData(0, 0, SIDE, SIDE).data,
    width: SIDE,
    height: SIDE,
    channels: 4,
  };
}

function draw(attention: Attention): void {
  const context = map.value?.getContext("2d");
  if (!context) return;
  const most = Math.max(...attention);
  const image = context.createImageData(ATTENTION_SIDE, ATTENTION_SIDE);
  for (const [i, value] of attention.entries())
    image.data.set([240, 100, 30, 235 * Math.min(1, value / most / WHOLE)], 4 * i);
  context.putImageData(image, 0, 0);
}

watch(
  () => props.source,
  async (source) => {
    if (!source) return;
    if (source instanceof HTMLImageElement) await source.decode().catch(() => undefined);
    worker.postMessage(pixelsOf(source));
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
  mix-blend-mode: normal;
  pointer-events: none;
}
</style>
