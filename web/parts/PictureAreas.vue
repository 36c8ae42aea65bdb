<script setup lang="ts">
import { X } from "@lucide/vue";
import { NButton } from "naive-ui";
import { computed } from "vue";
import type { Area } from "../../core/files";

/**
 * What of a picture is kept whole, drawn on it: each face can be left out and taken back, and a click anywhere says what
 * else counts. Plain buttons, since they stand where the picture has them.
 */
const props = defineProps<{ name: string; src: string; alt: string; areas: readonly Area[] }>();
const emit = defineEmits<{ change: [areas: Area[]] }>();

/** The sides of an area that a person points out, as shares of the picture. */
const SIDE = 0.24;
const MOST_SIDE = 0.6;

const thing = computed(() =>
  props.areas.find(({ kind, weight }) => kind === "thing" && weight > 0),
);
const hasFaces = computed(() => props.areas.some(({ kind }) => kind === "face"));
/** A thing that was found beside faces is mostly their clothes, and counts for nothing. */
const shown = computed(() =>
  props.areas
    .map((area, index) => ({ area, index }))
    .filter(({ area }) => area.kind === "face" || area.said || !hasFaces.value),
);

const middleOf = ({ x, y, width, height }: Area) => ({ x: x + width / 2, y: y + height / 2 });

/** As large as what was said before; what takes most of a picture cannot be moved in it. */
const sidesOf = (before: Area | undefined) =>
  before?.said && Math.max(before.width, before.height) < MOST_SIDE
    ? before
    : { width: SIDE, height: SIDE };

function point(x: number, y: number): void {
  const { width, height } = sidesOf(thing.value);
  const start = (middle: number, side: number) =>
    Math.round(Math.min(Math.max(0, middle - side / 2), 1 - side) * 1000) / 1000;
  const said: Area = {
    kind: "thing",
    x: start(x, width),
    y: start(y, height),
    width,
    height,
    weight: 1,
    said: true,
  };
  emit("change", [...props.areas.filter(({ kind }) => kind === "face"), said]);
}

function pick(event: MouseEvent): void {
  const frame = (event.currentTarget as HTMLElement).getBoundingClientRect();
  point((event.clientX - frame.x) / frame.width, (event.clientY - frame.y) / frame.height);
}

const steps: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

function nudge(event: KeyboardEvent): void {
  const step = steps[event.key];
  if (!step) return;
  event.preventDefault();
  const by = event.shiftKey ? 0.1 : 0.01;
  const { x, y } = thing.value ? middleOf(thing.value) : { x: 0.5, y: 0.5 };
  point(x + step[0] * by, y + step[1] * by);
}

function toggle(index: number): void {
  emit(
    "change",
    props.areas.map((area, i) =>
      i === index ? { ...area, weight: area.weight > 0 ? 0 : 1, said: true } : area,
    ),
  );
}

const label = ({ kind, weight }: Area, index: number): string =>
  kind === "face"
    ? `Face ${index + 1} is ${weight > 0 ? "kept whole; press to leave it out" : "left out; press to keep it whole"}`
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
      :aria-label="`What matters in the ${name.toLowerCase()}: ${where}. Arrow keys move it.`"
      @click="pick"
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
      ></button>
      <!-- A click on it points at something else, so only its corner is pressed. -->
      <span v-else-if="area.weight > 0" class="area thing" :style="boxOf(area)">
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
}

img {
  display: block;
  width: 100%;
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
