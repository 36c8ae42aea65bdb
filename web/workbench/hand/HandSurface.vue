<script setup lang="ts">
import { refDebounced } from "@vueuse/core";
import { computed, onMounted, useTemplateRef } from "vue";
import { bottom, right, type Box, type Point } from "../../../core/geometry";
import type { Placement } from "../../../core/placements";
import type { Handle } from "../../../core/arranging";
import { useBench } from "../bench";
import { useHand, type HandNode } from "./hand";
import { useGesture } from "./use-gesture";
import { useKeys } from "./use-keys";

/** Over the size that is looked at large: what is selected, its handles and the lines that it snaps to. */
const props = defineProps<{ placement: Placement; width: number }>();
const emit = defineEmits<{ write: [node: string]; crop: [node: string] }>();

const hand = useHand();
const bench = useBench();
const surface = useTemplateRef("surface");
const scale = computed(() => props.width / props.placement.width);
/** CSS pixels as output pixels. */
const px = (css: number): number => css / scale.value;

function pointAt({ clientX, clientY }: { clientX: number; clientY: number }): Point {
  const { left, top } = surface.value!.getBoundingClientRect();
  return { x: px(clientX - left), y: px(clientY - top) };
}
// Whoever came by keyboard goes on from here.
onMounted(() => surface.value!.focus({ preventScroll: true }));
const { area, press, move, end, callOff } = useGesture({ pointAt, scale: () => scale.value });

const isAt = ({ x, y }: Point, b: Box): boolean =>
  x >= b.x && x <= right(b) && y >= b.y && y <= bottom(b);
/** What lies at a point, the front first. Grounds and what is locked are taken from the list. */
const lies = ({ id, start, report: { box } }: HandNode, at: Point): boolean =>
  isAt(at, box) || (hand.selected.includes(id) && isAt(at, start));
const free = computed(() =>
  hand.nodes.filter(({ node }) => !node.locked && node.role !== "backdrop"),
);
const nodesAt = (at: Point): HandNode[] => free.value.filter((one) => lies(one, at)).toReversed();

function pressed(event: PointerEvent): void {
  if (event.button !== 0) return;
  surface.value!.focus({ preventScroll: true });
  const found = nodesAt(pointAt(event)).map(({ id }) => id);
  const held = found.find((id) => hand.selected.includes(id));
  if (event.shiftKey && found[0]) return hand.toggle(found[0]);
  // The first press takes the whole group, the next the one that is pressed.
  if (held === undefined) hand.select(hand.members(found.slice(0, 1)));
  press(event, found.length > 0 ? { kind: "move", pressed: next(found, held) } : { kind: "area" });
}

/** What a press without a drag selects: of several the one that is pressed, and then whatever lies below it. */
function next(found: readonly string[], held: string | undefined): string | undefined {
  if (held === undefined || hand.selected.length > 1) return held;
  return found[(found.indexOf(held) + 1) % found.length];
}

/** Words are written, and a picture is moved in its frame. */
function entered(event: MouseEvent): void {
  const [top] = nodesAt(pointAt(event));
  if (!top) return;
  hand.select([top.id]);
  if (top.report.type && top.node.slot) emit("write", top.id);
  else if (top.node.kind === "picture" && top.node.slot) emit("crop", top.id);
}

const { key } = useKeys({
  all: () => hand.select(free.value.map(({ id }) => id)),
  leave: () => {
    callOff();
    if (hand.selected.length > 0) hand.select([]);
    else bench.large = false;
  },
});

const HANDLES: Handle[] = [-1, 0, 1].flatMap((y) =>
  [-1, 0, 1].flatMap((x) => (x === 0 && y === 0 ? [] : [{ x, y } as Handle])),
);
const placeOf = ({ x, y }: Handle, b: Box): Point => ({
  x: b.x + ((x + 1) / 2) * b.width,
  y: b.y + ((y + 1) / 2) * b.height,
});
const CURSORS = ["nwse-resize", "ns-resize", "nesw-resize", "ew-resize"] as const;
const cursorOf = ({ x, y }: Handle): string =>
  x === 0 ? CURSORS[1] : y === 0 ? CURSORS[3] : x === y ? CURSORS[0] : CURSORS[2];

/** The one that is selected, while it can be resized and turned. */
const single = computed(() => (hand.movable.length === 1 ? hand.movable[0] : undefined));
/** Gaps that became equal, else how far the neighbours are. */
const measures = computed(() => {
  const gaps = hand.guides.flatMap(({ axis, gaps: equal }) =>
    (equal ?? []).map((gap) => ({ axis, ...gap })),
  );
  const axes = new Set(gaps.map(({ axis }) => axis));
  return [...gaps, ...hand.distances.filter(({ axis }) => !axes.has(axis))];
});
const said = computed(() => {
  const names = hand.chosen.map(({ name }) => name).join(", ");
  const { hull } = hand;
  if (!hull) return "Nothing selected";
  const [x, y, width, height] = [hull.x, hull.y, hull.width, hull.height].map(Math.round);
  return `${names}: at ${x}, ${y}, ${width} by ${height} pixels`;
});
/** Nobody listens to each step of a way: while something is dragged, it is said when it rests so long, in milliseconds. */
const REST = 150;
const rested = refDebounced(said, REST);
const announced = computed(() => (hand.draft ? rested.value : said.value));
</script>

<template>
  <div
    ref="surface"
    class="surface"
    role="group"
    tabindex="0"
    :aria-label="`${placement.name} by hand. Tab selects, arrow keys move, Delete takes out.`"
    @pointerdown="pressed"
    @mousedown.prevent
    @pointermove="move"
    @pointerup="end"
    @pointercancel="callOff"
    @dblclick="entered"
    @keydown="key"
  >
    <span class="hidden-name" role="status">{{ announced }}</span>
    <svg :viewBox="`0 0 ${placement.width} ${placement.height}`" aria-hidden="true">
      <rect
        v-for="[id, { x, y, width: wide, height }] in hand.outlines"
        :key="id"
        class="box"
        :x="x"
        :y="y"
        :width="wide"
        :height="height"
      />
      <line
        v-for="({ axis, at, from, to }, index) in hand.guides"
        :key="index"
        class="guide"
        v-bind="
          axis === 'x' ? { x1: at, x2: at, y1: from, y2: to } : { x1: from, x2: to, y1: at, y2: at }
        "
      />
      <g v-for="({ axis, from, to, across }, index) in measures" :key="`d${index}`">
        <line
          class="guide measure"
          v-bind="
            axis === 'x'
              ? { x1: from, x2: to, y1: across, y2: across }
              : { x1: across, x2: across, y1: from, y2: to }
          "
        />
        <text
          :x="axis === 'x' ? (from + to) / 2 : across"
          :y="axis === 'x' ? across - px(4) : (from + to) / 2"
          :dx="axis === 'x' ? 0 : px(6)"
          :text-anchor="axis === 'x' ? 'middle' : 'start'"
          :font-size="px(11)"
          :stroke-width="px(3)"
        >
          {{ Math.round(to - from) }}
        </text>
      </g>
      <rect v-if="area" class="area" v-bind="area" />
      <g v-if="hand.hull && hand.movable.length > 0">
        <template v-if="single">
          <line
            class="box"
            :x1="hand.hull.x + hand.hull.width / 2"
            :x2="hand.hull.x + hand.hull.width / 2"
            :y1="hand.hull.y"
            :y2="hand.hull.y - px(22)"
          />
          <circle
            class="handle turn"
            :cx="hand.hull.x + hand.hull.width / 2"
            :cy="hand.hull.y - px(22)"
            :r="px(6)"
            @pointerdown.stop="press($event, { kind: 'turn' })"
          />
        </template>
        <rect
          v-for="(handle, index) in HANDLES"
          :key="index"
          class="handle"
          :x="placeOf(handle, hand.hull).x - px(5)"
          :y="placeOf(handle, hand.hull).y - px(5)"
          :width="px(10)"
          :height="px(10)"
          :cursor="cursorOf(handle)"
          @pointerdown.stop="press($event, { kind: 'resize', handle })"
        />
      </g>
    </svg>
  </div>
</template>

<style scoped>
.surface {
  position: absolute;
  inset: 0;
  cursor: default;
  touch-action: none;
  user-select: none;
}

.surface:focus-visible {
  outline: 1px solid var(--leaf);
  outline-offset: 4px;
}

svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
}

.box,
.area,
.guide {
  fill: none;
  stroke: var(--zest);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}

.guide {
  stroke-dasharray: 4 3;
}

.measure {
  stroke-dasharray: none;
}

text {
  fill: var(--zest);
  stroke: var(--card);
  font-family: var(--text);
  paint-order: stroke;
  pointer-events: none;
}

.area {
  fill: color-mix(in srgb, var(--zest) 12%, transparent);
}

.handle {
  fill: var(--card);
  stroke: var(--zest);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}

.turn {
  cursor: grab;
}
</style>
