<script setup lang="ts">
import { computed, defineAsyncComponent, useTemplateRef } from "vue";
import { isFact, slotName } from "../../../core/message";
import { isLocal } from "../../../core/piece";
import type { Placement } from "../../../core/placements";
import { toAct } from "../../../core/preflight";
import { useBench } from "../bench";
import { usePiece } from "../piece";
import { LEAST_TILE } from "../../wall/packing";
import { useSharedWall } from "../../wall/wall-key";
import GraphicTile from "../../common/GraphicTile.vue";
import SafetyOverlay from "../../common/SafetyOverlay.vue";

/** One size on the wall, with its name and what was found about it; `brief` without its sides. `width` is CSS pixels. */
const props = defineProps<{ placement: Placement; width: number; brief?: boolean }>();

const open = usePiece();
const bench = useBench();
const wall = useSharedWall();
const tile = useTemplateRef("tile");
const LiveAttention = defineAsyncComponent(() => import("./LiveAttention.vue"));

const report = computed(() => wall.reports.value.get(props.placement.id));
const isLead = computed(() => open.piece?.lead === props.placement.id);
const isChanged = computed(() =>
  open.piece?.sizes.some((size) => size.placement === props.placement.id && isLocal(size)),
);
const isSelected = computed(() => bench.current === props.placement.id);
const findings = computed(() => toAct(report.value?.findings ?? []));
const mustFix = computed(() => findings.value.filter((f) => f.level === "must-fix").length);
/** Where something must be fixed, as far as it has a place of its own. */
const places = computed(() => {
  const wrong = new Set(
    findings.value.filter(({ level }) => level === "must-fix").map(({ node }) => node),
  );
  return (report.value?.nodes ?? []).filter(({ id }) => wrong.has(id)).map(({ ink }) => ink);
});
/** The first words of the message that are not here, what matters most before anything else. */
const without = computed(() => {
  const { slots = [], shown = [] } = report.value ?? {};
  const missing = slots.filter((slot) => !shown.includes(slot));
  const first = missing.find(isFact) ?? missing[0];
  return first && slotName(first).toLowerCase();
});
const pointed = computed(() =>
  isSelected.value ? report.value?.nodes.find((node) => node.id === bench.pointed) : undefined,
);

/** Enter on a size puts it large, rather than only selecting it. */
function enlarge(): void {
  bench.select(props.placement.id);
  bench.large = true;
}
</script>

<template>
  <figure class="tile" :style="{ width: `${Math.max(width, LEAST_TILE)}px` }">
    <div class="frame">
      <button
        class="graphic"
        :class="{ selected: isSelected }"
        :aria-pressed="isSelected"
        :aria-label="`${placement.name}, ${placement.width} by ${placement.height}`"
        @click="bench.select(placement.id)"
        @dblclick="bench.large = true"
        @keydown.enter.prevent="enlarge"
      >
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
          :places="places"
          :pointed="pointed"
        />
      </button>
    </div>
    <figcaption>
      <span class="name"><b v-if="isLead">Lead</b> {{ placement.name }}</span>
      <span v-if="isChanged" class="changed">Changed on this size</span>
      <span class="facts number">
        <template v-if="!brief">{{ placement.width }} × {{ placement.height }}</template>
        <span v-if="without" class="look">without {{ without }}</span>
        <span v-if="mustFix" class="must">{{ mustFix }} to fix</span>
        <span v-else-if="findings.length && !without" class="look"
          >{{ findings.length }} to look at</span
        >
      </span>
    </figcaption>
  </figure>
</template>

<style scoped>
.tile {
  margin: 0;
}

.frame {
  position: relative;
}

.graphic {
  position: relative;
  display: block;
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
}

.graphic.selected {
  outline: 3px solid var(--zest);
  outline-offset: 3px;
}

figcaption {
  display: grid;
  padding-top: 8px;
  font-size: 12.5px;
  line-height: 1.35;
}

.name {
  overflow: hidden;
  text-overflow: ellipsis;
}

.facts {
  display: flex;
  gap: 0.5em;
  color: var(--quiet);
}

b {
  color: var(--leaf);
}

figcaption span {
  white-space: nowrap;
}

.changed {
  color: var(--leaf);
}

.look {
  color: var(--lemon-ink);
}

.must {
  color: var(--berry);
}
</style>
