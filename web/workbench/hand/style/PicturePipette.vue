<script setup lang="ts">
import { ref, useTemplateRef, watch } from "vue";
import type { FileId } from "../../../../core/files";
import { hexOfBytes } from "../../../../core/colour";
import SelectField from "../../../ui/SelectField.vue";
import { useLibrary } from "../../../common/library";

/** A colour where one presses on a picture of the piece. By keyboard, arrows move the point and Enter takes it. */
const props = defineProps<{ pictures: readonly FileId[] }>();
const emit = defineEmits<{ pick: [hex: string] }>();

const WIDTH = 480;
const library = useLibrary();
const nameOf = (id: FileId): string =>
  library.pictures.find((one) => one.id === id)?.name ?? "Picture";
const chosen = ref(props.pictures[0]!);
const canvas = useTemplateRef("canvas");
const at = ref({ x: 0.5, y: 0.5 });

watch(
  [chosen, canvas],
  () => {
    const image = new Image();
    image.onload = () => {
      if (!canvas.value) return;
      canvas.value.width = image.naturalWidth;
      canvas.value.height = image.naturalHeight;
      canvas.value.getContext("2d")?.drawImage(image, 0, 0);
    };
    image.src = `/api/pictures/${chosen.value}/rendition?width=${WIDTH}`;
  },
  { immediate: true },
);

function take(): void {
  const of = canvas.value;
  const [x, y] = [at.value.x * (of?.width ?? 0), at.value.y * (of?.height ?? 0)];
  const pixel = of?.getContext("2d")?.getImageData(Math.floor(x), Math.floor(y), 1, 1).data;
  if (pixel) emit("pick", hexOfBytes(pixel[0]!, pixel[1]!, pixel[2]!));
}

function pressed({ offsetX, offsetY }: MouseEvent): void {
  const of = canvas.value!;
  at.value = { x: offsetX / of.clientWidth, y: offsetY / of.clientHeight };
  take();
}

const STEP = 0.02;
const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};
function key(event: KeyboardEvent): void {
  const arrow = ARROWS[event.key];
  if (event.key !== "Enter" && !arrow) return;
  event.preventDefault();
  event.stopPropagation();
  if (!arrow) return take();
  const within = (value: number): number => Math.max(0, Math.min(0.999, value));
  at.value = { x: within(at.value.x + arrow[0]), y: within(at.value.y + arrow[1]) };
}
</script>

<template>
  <SelectField
    v-if="pictures.length > 1"
    v-model="chosen"
    size="small"
    label="Which picture"
    :options="pictures.map((id) => ({ value: id, label: nameOf(id) }))"
  />
  <div class="of">
    <canvas
      ref="canvas"
      tabindex="0"
      role="img"
      aria-label="Press on the picture to take a colour. Arrow keys move the point, Enter takes it."
      @click="pressed"
      @keydown="key"
    ></canvas>
    <span class="point" :style="{ left: `${100 * at.x}%`, top: `${100 * at.y}%` }"></span>
  </div>
</template>

<style scoped>
.of {
  position: relative;
}

canvas {
  display: block;
  width: 100%;
  cursor: crosshair;
}

.point {
  position: absolute;
  width: 14px;
  height: 14px;
  border: 2px solid #fff;
  border-radius: 50%;
  box-shadow: 0 0 0 1px #000;
  pointer-events: none;
  transform: translate(-50%, -50%);
}
</style>
