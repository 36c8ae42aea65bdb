<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from "vue";
import { slotName } from "../../../core/message";
import type { Placement } from "../../../core/placements";
import { usePiece } from "../piece";
import { usePictureStyle, type ShownPicture } from "./use-picture-style";

/** Over a size that is looked at large: its pictures, to be moved and enlarged inside their frames. */
const props = defineProps<{ placement: Placement; width: number; only: string }>();
const emit = defineEmits<{ done: [] }>();

const open = usePiece();
/** By hand on one size is a change of that size; by hand on the lead holds for all. */
const {
  pictures: all,
  move,
  zoomOf,
  zoomTo,
  release,
} = usePictureStyle({
  placement: () => props.placement.id,
  local: () => open.piece?.lead !== props.placement.id,
});
const pictures = computed(() => all.value.filter(({ node }) => node.id === props.only));
const handles = useTemplateRef("handles");
onMounted(() => handles.value?.querySelector("button")?.focus());
/** CSS pixels for each output pixel. */
const scale = computed(() => props.width / props.placement.width);

/** Where the pointer was last. */
const held = ref<{ id: string; x: number; y: number }>();

const placeOf = ({ report: { box } }: ShownPicture) => ({
  left: `${box.x * scale.value}px`,
  top: `${box.y * scale.value}px`,
  width: `${box.width * scale.value}px`,
  height: `${box.height * scale.value}px`,
});

/** Picture pixels for each CSS pixel on the page. */
const picturePixels = ({ report: { crop, box } }: ShownPicture): number =>
  crop!.width / (box.width * scale.value);

function hold(event: PointerEvent, { node }: ShownPicture): void {
  const handle = event.currentTarget as HTMLElement;
  handle.setPointerCapture(event.pointerId);
  handle.focus();
  held.value = { id: node.id, x: event.clientX, y: event.clientY };
}

function drag(event: PointerEvent, shown: ShownPicture): void {
  if (held.value?.id !== shown.node.id) return;
  const per = picturePixels(shown);
  const [x, y] = [event.clientX - held.value.x, event.clientY - held.value.y];
  if (Math.hypot(x, y) < 1) return;
  held.value = { ...held.value, x: event.clientX, y: event.clientY };
  move(shown, { x: x * per, y: y * per });
}

const STEP = 1.1;

const grow = (shown: ShownPicture, larger: boolean): void =>
  zoomTo(shown, zoomOf(shown) * (larger ? STEP : 1 / STEP));

const arrows: Record<string, [x: number, y: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** An arrow moves by one pixel of the size, with Shift by ten. */
function nudge(event: KeyboardEvent, shown: ShownPicture): void {
  if (event.key === "Escape") {
    event.stopPropagation();
    return emit("done");
  }
  const arrow = arrows[event.key];
  if (!arrow && event.key !== "+" && event.key !== "-") return;
  event.preventDefault();
  event.stopPropagation();
  if (!arrow) return grow(shown, event.key === "+");
  const by = (event.shiftKey ? 10 : 1) * picturePixels(shown) * scale.value;
  move(shown, { x: by * arrow[0], y: by * arrow[1] });
}
</script>

<template>
  <div ref="handles" class="handles">
    <button
      v-for="shown in pictures"
      :key="shown.node.id"
      class="handle"
      :class="{ held: held?.id === shown.node.id }"
      :style="placeOf(shown)"
      :title="`Drag to move, scroll to enlarge (now ${Math.round(100 * zoomOf(shown))} %), double-click to give back`"
      :aria-label="`${slotName(shown.node.slot!)} in its frame. Arrow keys move it, plus and minus enlarge it.`"
      @pointerdown.prevent="hold($event, shown)"
      @pointermove="drag($event, shown)"
      @pointerup="held = undefined"
      @pointercancel="held = undefined"
      @wheel.prevent="grow(shown, $event.deltaY < 0)"
      @dblclick.stop="release(shown)"
      @keydown="nudge($event, shown)"
    ></button>
  </div>
</template>

<style scoped>
.handles {
  position: absolute;
  inset: 0;
  pointer-events: none;
}

.handle {
  position: absolute;
  padding: 0;
  border: 0;
  background: none;
  cursor: grab;
  pointer-events: auto;
}

.handle:hover,
.handle:focus-visible,
.handle.held {
  outline: 3px dashed var(--zest);
  outline-offset: -2px;
}

.handle.held {
  cursor: grabbing;
}
</style>
