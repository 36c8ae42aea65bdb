<script setup lang="ts">
import { computed, nextTick, onMounted, useTemplateRef, watch } from "vue";
import { filtersOf, paletteOf, type Brand } from "../../../core/brand";
import { adjust, rasterOf } from "../../../core/picture";
import type { PictureStyle } from "../../../core/piece";
import { developedAs } from "../../../core/resolve";
import type { Spread } from "../../../core/colour";

/** What can be done to a photograph, each shown on the photograph itself. */
const props = defineProps<{
  picture: string;
  brand: Brand;
  spread: Spread;
  current: PictureStyle["adjust"];
}>();
defineEmits<{ pick: [adjust: PictureStyle["adjust"]] }>();

const WIDTH = 104;
const filters = computed(() => filtersOf(props.brand));
const list = useTemplateRef("list");
const isCurrent = (wanted: PictureStyle["adjust"]) =>
  JSON.stringify(wanted ?? {}) === JSON.stringify(props.current ?? {});

/** The same arithmetic as in the graphic, on a small copy. */
async function paintAll(): Promise<void> {
  await nextTick();
  const image = new Image();
  image.src = `/api/pictures/${props.picture}/rendition?width=320`;
  await image.decode().catch(() => undefined);
  if (!image.naturalWidth || !list.value) return;
  const height = Math.round((WIDTH * image.naturalHeight) / image.naturalWidth);
  const palette = paletteOf(props.brand, props.spread);
  for (const [i, canvas] of [...list.value.querySelectorAll("canvas")].entries()) {
    canvas.width = WIDTH;
    canvas.height = height;
    const context = canvas.getContext("2d")!;
    context.drawImage(image, 0, 0, WIDTH, height);
    const pixels = context.getImageData(0, 0, WIDTH, height);
    const by = developedAs(filters.value[i]?.adjust, props.brand, palette);
    adjust(rasterOf(pixels.data, WIDTH, height), by, 1);
    context.putImageData(pixels, 0, 0);
  }
}

onMounted(paintAll);
watch(() => [props.picture, props.brand, props.spread], paintAll);
</script>

<template>
  <ul ref="list" class="filters" aria-label="Filters">
    <li v-for="filter in filters" :key="filter.name">
      <button :aria-pressed="isCurrent(filter.adjust)" @click="$emit('pick', filter.adjust)">
        <canvas></canvas>
        {{ filter.name }}
      </button>
    </li>
  </ul>
</template>

<style scoped>
.filters {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 12px;
  padding: 0;
  margin: 0;
  list-style: none;
}

button {
  display: grid;
  gap: 4px;
  width: 100%;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 12px;
  text-align: left;
  cursor: pointer;
}

canvas {
  width: 100%;
  aspect-ratio: 4 / 3;
  object-fit: cover;
}

button[aria-pressed="true"] canvas {
  outline: 3px solid var(--zest);
  outline-offset: 1px;
}
</style>
