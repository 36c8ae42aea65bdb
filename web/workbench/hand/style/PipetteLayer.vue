<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from "vue";
import type { Point } from "../../../../core/geometry";

/**
 * Over a picture: a colour where one presses. By keyboard, arrows move the point, Enter takes it and Escape takes none.
 * `colourAt` is asked for a point in shares of width and height.
 */
const props = defineProps<{ colourAt: (at: Point) => string | undefined; label: string }>();
const emit = defineEmits<{ pick: [hex: string]; leave: [] }>();

const layer = useTemplateRef("layer");
const at = ref<Point>({ x: 0.5, y: 0.5 });
const within = (value: number): number => Math.max(0, Math.min(0.999, value));
const colour = computed(() => props.colourAt(at.value));
const take = (): void => void (colour.value && emit("pick", colour.value));
onMounted(() => layer.value!.focus({ preventScroll: true }));

function point({ clientX, clientY }: MouseEvent): void {
  const { left, top, width, height } = layer.value!.getBoundingClientRect();
  at.value = { x: within((clientX - left) / width), y: within((clientY - top) / height) };
}
function pressed(event: MouseEvent): void {
  point(event);
  take();
}

const STEP = 0.02;
const ARROWS: Record<string, Point> = {
  ArrowLeft: { x: -STEP, y: 0 },
  ArrowRight: { x: STEP, y: 0 },
  ArrowUp: { x: 0, y: -STEP },
  ArrowDown: { x: 0, y: STEP },
};
const KEYS: Record<string, () => void> = { Enter: take, Escape: () => emit("leave") };
function key(event: KeyboardEvent): void {
  const arrow = ARROWS[event.key];
  const act = KEYS[event.key];
  if (!arrow && !act) return;
  event.preventDefault();
  event.stopPropagation();
  if (arrow) at.value = { x: within(at.value.x + arrow.x), y: within(at.value.y + arrow.y) };
  else act!();
}
</script>

<template>
  <div
    ref="layer"
    class="layer"
    tabindex="0"
    role="application"
    :aria-label="`${label} Arrow keys move the point, Enter takes it.`"
    @pointermove="point"
    @click="pressed"
    @keydown="key"
  >
    <span
      class="point"
      :style="{ left: `${100 * at.x}%`, top: `${100 * at.y}%`, background: colour }"
    ></span>
    <span class="hidden-name" role="status">{{ colour }}</span>
  </div>
</template>

<style scoped>
.layer {
  position: absolute;
  inset: 0;
  cursor: crosshair;
  touch-action: none;
}

.point {
  position: absolute;
  width: 22px;
  height: 22px;
  margin: -30px 0 0 8px;
  border: 2px solid #fff;
  border-radius: 50%;
  box-shadow: 0 0 0 1px #000;
  pointer-events: none;
}
</style>
