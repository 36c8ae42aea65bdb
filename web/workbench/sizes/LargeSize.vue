<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref, useTemplateRef, watch } from "vue";
import type { Hex } from "../../../core/colour";
import type { Placement } from "../../../core/placements";
import GraphicTile from "../../common/GraphicTile.vue";
import SafetyOverlay from "../../common/SafetyOverlay.vue";
import { wallWidths } from "../../wall/packing";
import { useWall } from "../../wall/use-wall";
import { useBench } from "../bench";
import { useHand } from "../hand/hand";
import HandSurface from "../hand/HandSurface.vue";
import { colourOn } from "../hand/style/pipette";
import PipetteLayer from "../hand/style/PipetteLayer.vue";
import { useZoom } from "../hand/use-zoom";
import WriteOver from "../hand/WriteOver.vue";
import ZoomBar from "../hand/ZoomBar.vue";
import { usePiece } from "../piece";
import PictureHandles from "./PictureHandles.vue";
import WallTile from "./WallTile.vue";

/**
 * One size, as large as the room allows but never larger than it will be seen, to be worked on by hand; the others stand in a
 * row beneath and follow. `room` is CSS pixels.
 */
const props = defineProps<{ placement: Placement; room: { width: number; height: number } }>();

const open = usePiece();
const bench = useBench();
const hand = useHand();
const tile = useTemplateRef("tile");
const LiveAttention = defineAsyncComponent(() => import("./LiveAttention.vue"));
const wall = useWall({
  piece: () => (bench.showBefore && open.before) || (hand.draft ?? open.piece),
  brand: () => open.brand,
  turn: () => "ahead",
});
const report = computed(() => wall.reports.value.get(props.placement.id));
watch(report, (now) => hand.tell(now), { immediate: true });

/** CSS pixels that the row of others and the bars take. */
const ROW = 140;
const BARS = 112;
const high = computed(() => Math.max(160, props.room.height - BARS - ROW));
const view = useTemplateRef("view");
const zoom = useZoom({
  view,
  placement: () => props.placement,
  room: () => ({ width: props.room.width, height: high.value }),
});
const width = computed(() => Math.round(props.placement.width * zoom.scale.value));

const KEYS: Record<string, () => void> = {
  "+": zoom.nearer,
  "-": zoom.farther,
  "0": zoom.fit,
  z: () => hand.hull && zoom.to(hand.hull),
  m: () => (bench.showMargins = !bench.showMargins),
};
function key(event: KeyboardEvent): void {
  const typing = event.target instanceof HTMLElement && event.target.matches("input, textarea");
  const act =
    typing || event.ctrlKey || event.metaKey || event.altKey ? undefined : KEYS[event.key];
  if (!act) return;
  event.preventDefault();
  act();
}
const pointed = computed(() => report.value?.nodes.find(({ id }) => id === bench.pointed));

/** The words that are written where they stand, and the picture that is moved in its frame. */
const written = ref<string>();
const cropped = ref<string>();
watch(
  () => [props.placement.id, hand.selected],
  () => (cropped.value = written.value = undefined),
);
async function crop(node: string): Promise<void> {
  await nextTick();
  cropped.value = node;
}

async function write(node: string): Promise<void> {
  await nextTick();
  written.value = node;
}

function takeColour(hex: Hex): void {
  bench.pipette?.(hex);
  bench.pipette = undefined;
}
watch(
  () => hand.selected,
  () => (bench.pipette = undefined),
);

const others = computed(() => open.placements.filter(({ id }) => id !== props.placement.id));
const widths = computed(() => wallWidths(others.value, 0.26));
</script>

<template>
  <div class="large" @keydown="key">
    <div ref="view" class="view" :style="{ height: `${high}px` }">
      <div class="room">
        <div class="frame" :style="{ width: `${width}px` }">
          <GraphicTile
            ref="tile"
            :wall="wall"
            :placement="placement"
            :width="width"
            :label="placement.name"
          />
          <LiveAttention v-if="bench.showAttention" :wall="wall" :canvas="tile?.canvas" />
          <SafetyOverlay
            :placement="placement"
            :covered="bench.showCovered"
            :places="[]"
            :pointed="pointed"
            :margins="bench.showMargins"
          />
          <HandSurface :placement="placement" :width="width" @write="write" @crop="crop" />
          <PipetteLayer
            v-if="bench.pipette"
            :colour-at="(at) => colourOn(tile?.canvas, at)"
            label="Press where a colour is taken from."
            @pick="takeColour"
            @leave="bench.pipette = undefined"
          />
          <WriteOver
            v-if="written"
            :key="written"
            :node="written"
            :scale="width / placement.width"
            @done="written = undefined"
          />
          <PictureHandles
            v-if="cropped"
            :placement="placement"
            :width="width"
            :only="cropped"
            @done="cropped = undefined"
          />
        </div>
      </div>
    </div>
    <ZoomBar :zoom="zoom" />
    <div class="row" role="group" aria-label="The other sizes">
      <WallTile
        v-for="one in others"
        :key="one.id"
        :placement="one"
        :width="widths.get(one.id) ?? 1"
        brief
      />
    </div>
  </div>
</template>

<style scoped>
.large {
  display: grid;
  gap: 8px;
}

.view {
  overflow: auto;
}

/* What fits stands in the middle; what does not is scrolled to. */
.room {
  display: grid;
  box-sizing: border-box;
  width: max-content;
  min-width: 100%;
  min-height: 100%;
  padding: 26px;
  place-content: center;
}

.frame {
  position: relative;
}

.row {
  display: flex;
  gap: 12px;
  align-items: end;
  padding: 4px 4px 12px;
  overflow-x: auto;
}
</style>
