<script setup lang="ts">
import { X } from "@lucide/vue";
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import type { Area } from "../../../core/files";
import { isFirm } from "../../../core/picture";
import {
  alone,
  drawn,
  grown,
  middleOf,
  moved,
  pointedAt,
  thingIn,
  toggled,
  type Point,
} from "./areas";

/**
 * What of a picture is kept whole, drawn on it: each face can be left out and taken back or made the main one; what else
 * counts is pointed at or drawn. Plain buttons, since they stand where the picture has them.
 */
const props = defineProps<{ name: string; src: string; alt: string; areas: readonly Area[] }>();
const emit = defineEmits<{ change: [areas: Area[]] }>();

const thing = computed(() => thingIn(props.areas));
const hasFaces = computed(() => props.areas.some(({ kind }) => kind === "face"));
/** A thing that was found beside faces is mostly their bodies, and is not drawn. */
const shown = computed(() =>
  props.areas
    .map((area, index) => ({ area, index }))
    .filter(({ area }) => area.kind === "face" || area.said || !hasFaces.value),
);

/** From where to where the pointer draws. */
const drawing = ref<{ from: Point; to: Point }>();
/** Nearer than this, as a share, is a click. */
const CLICK = 0.03;

function at(event: MouseEvent): Point {
  const frame = (event.currentTarget as HTMLElement).getBoundingClientRect();
  const within = (value: number) => Math.min(1, Math.max(0, value));
  return {
    x: within((event.clientX - frame.x) / frame.width),
    y: within((event.clientY - frame.y) / frame.height),
  };
}

function press(event: PointerEvent): void {
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
  drawing.value = { from: at(event), to: at(event) };
}

function draw(event: PointerEvent): void {
  if (drawing.value) drawing.value = { ...drawing.value, to: at(event) };
}

function release(event: PointerEvent): void {
  if (!drawing.value) return;
  const { from, to } = drawing.value;
  drawing.value = undefined;
  const isClick = Math.hypot(to.x - from.x, to.y - from.y) < CLICK;
  emit(
    "change",
    isClick ? pointedAt(props.areas, from) : drawn(props.areas, from, to, event.shiftKey),
  );
}

const draft = computed((): Area | undefined => {
  if (!drawing.value) return undefined;
  const { from, to } = drawing.value;
  return drawn([], from, to)[0];
});

const steps: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const sizes: Record<string, number> = { "+": 1.1, "-": 1 / 1.1 };

function nudge(event: KeyboardEvent): void {
  const step = steps[event.key];
  const times = sizes[event.key];
  if (!step && !times) return;
  event.preventDefault();
  if (times) return emit("change", grown(props.areas, times));
  const by = event.shiftKey ? 0.1 : 0.01;
  emit("change", moved(props.areas, { x: step![0] * by, y: step![1] * by }));
}

const toggle = (index: number): void => emit("change", toggled(props.areas, index));

const label = ({ kind, weight }: Area, index: number): string =>
  kind === "face"
    ? `Face ${index + 1} is ${weight > 0 ? "kept whole; press to leave it out, twice to keep it alone" : "left out; press to keep it whole"}`
    : "What the picture shows is kept whole; press to leave it out";

const where = computed(() => {
  const { x, y } = thing.value ? middleOf(thing.value) : { x: 0.5, y: 0.5 };
  return `${Math.round(x * 100)} % across, ${Math.round(y * 100)} % down`;
});
const percent = (value: number): string => `${100 * value}%`;
const boxOf = ({ x, y, width, height }: Area) => ({
  left: percent(x),
  top: percent(y),
  width: percent(width),
  height: percent(height),
});
</script>

<template>
  <div class="areas">
    <button
      class="frame"
      :aria-label="`What matters in the ${name.toLowerCase()}: ${where}. Arrow keys move it, plus and minus size it; dragging draws it.`"
      @pointerdown="press"
      @pointermove="draw"
      @pointerup="release"
      @pointercancel="drawing = undefined"
      @keydown="nudge"
    >
      <img :src="src" :alt="alt" />
    </button>
    <template v-for="{ area, index } of shown" :key="index">
      <button
        v-if="area.kind === 'face'"
        class="area"
        :class="{ off: area.weight === 0 }"
        :aria-pressed="area.weight > 0"
        :aria-label="label(area, index)"
        :title="label(area, index)"
        :style="boxOf(area)"
        @click="toggle(index)"
        @dblclick="emit('change', alone(areas, index))"
      ></button>
      <!-- A click on it points at something else, so only its corner is pressed. -->
      <span
        v-else-if="area.weight > 0"
        class="area thing"
        :class="{ soft: !isFirm(area) }"
        :style="boxOf(area)"
      >
        <NButton
          class="leave"
          size="tiny"
          type="primary"
          :aria-label="label(area, index)"
          :title="label(area, index)"
          @click="toggle(index)"
        >
          <template #icon><X aria-hidden="true" /></template>
        </NButton>
      </span>
    </template>
    <span v-if="draft" class="area thing" :style="boxOf(draft)"></span>
  </div>
</template>

<style scoped>
.areas {
  position: relative;
}

.frame {
  display: block;
  padding: 0;
  border: 0;
  background: none;
  cursor: crosshair;
  touch-action: none;
}

img {
  display: block;
  width: 100%;
  -webkit-user-drag: none;
}

.area {
  position: absolute;
  padding: 0;
  border: 2px solid var(--zest);
  border-radius: 6px;
  background: none;
  box-shadow:
    0 0 0 1px #fff,
    inset 0 0 0 1px #fff;
  cursor: pointer;
}

.area.thing {
  border-style: dashed;
  pointer-events: none;
}

.area.soft {
  border-color: #fff;
}

.leave {
  position: absolute;
  top: -2px;
  right: -2px;
  pointer-events: auto;
}

.area.off {
  border-color: #fff;
  border-style: dotted;
  opacity: 0.75;
}
</style>
