<script setup lang="ts">
import { onMounted, useTemplateRef, watch } from "vue";
import { commonPixels } from "../../core/choosing";
import { rasterOf, type Raster } from "../../core/picture";

/** Over a graphic: what it has in common with those beside it is veiled, so that only what differs is seen. */
const props = defineProps<{ images: readonly HTMLImageElement[] }>();
const veil = useTemplateRef("veil");
/** Paper, laid on thickly. */
const VEIL = [246, 242, 234, 224] as const;

async function read(image: HTMLImageElement): Promise<Raster | undefined> {
  await image.decode();
  const { naturalWidth: width, naturalHeight: height } = image;
  const context = new OffscreenCanvas(width, height).getContext("2d", { willReadFrequently: true });
  context?.drawImage(image, 0, 0);
  const pixels = context?.getImageData(0, 0, width, height);
  return pixels && rasterOf(pixels.data, width, height);
}

async function draw(): Promise<void> {
  const { images } = props;
  // One that could not be fetched is not compared.
  const found = await Promise.all(images.map((image) => read(image).catch(() => undefined)));
  const rasters = found.filter((one) => one !== undefined);
  const [first] = rasters;
  if (!veil.value || !first || images !== props.images) return;
  const { width, height } = first;
  veil.value.width = width;
  veil.value.height = height;
  const context = veil.value.getContext("2d");
  const image = context?.createImageData(width, height);
  if (!context || !image) return;
  commonPixels(rasters).forEach((isCommon, at) => isCommon && image.data.set(VEIL, 4 * at));
  context.putImageData(image, 0, 0);
}

onMounted(() => void draw());
watch(
  () => props.images.map(({ src }) => src).join(" "),
  () => void draw(),
);
</script>

<template>
  <canvas ref="veil" class="veil"></canvas>
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
