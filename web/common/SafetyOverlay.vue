<script setup lang="ts">
import { computed } from "vue";
import type { Box } from "../../core/geometry";
import { outside, type Placement } from "../../core/placements";
import type { NodeReport } from "../../core/preflight";

/** Over a graphic: what the channel covers and crops, and the place that a finding points at. */
const props = defineProps<{
  placement: Placement;
  covered: boolean;
  /** Where something must be fixed. */
  places: readonly Box[];
  pointed?: NodeReport | undefined;
  /** Margins, middle and columns are drawn. */
  margins?: boolean;
}>();

const unsafe = computed(() => outside(props.placement));

const COLUMNS = 4;
const columns = computed(() => {
  const { width, margin } = props.placement;
  const inner = width - 2 * margin;
  return Array.from({ length: COLUMNS - 1 }, (_, at) => margin + (inner * (at + 1)) / COLUMNS);
});
/** As large as the name fits on its area; letters are about half as wide as high. */
const labelSize = ({ by, width, height }: Placement["covered"][number]): number =>
  Math.min(props.placement.width / 18, height * 0.6, (1.7 * width) / by.length);
const stroke = computed(() => props.placement.width / 160);
</script>

<template>
  <svg class="over" :viewBox="`0 0 ${placement.width} ${placement.height}`" aria-hidden="true">
    <g v-if="covered">
      <rect v-for="(part, i) in unsafe" :key="`m${i}`" class="margin" v-bind="part" />
      <g v-for="part in placement.covered" :key="part.by">
        <rect class="covered" :x="part.x" :y="part.y" :width="part.width" :height="part.height" />
        <text
          :x="part.x + part.width / 2"
          :y="part.y + part.height / 2"
          :font-size="labelSize(part)"
        >
          {{ part.by }}
        </text>
      </g>
      <template v-for="crop in placement.crops" :key="crop.name">
        <ellipse
          v-if="crop.shape === 'circle'"
          class="crop"
          :stroke-width="stroke"
          :cx="crop.x + crop.width / 2"
          :cy="crop.y + crop.height / 2"
          :rx="crop.width / 2"
          :ry="crop.height / 2"
        />
        <rect
          v-else
          class="crop"
          :stroke-width="stroke"
          :x="crop.x"
          :y="crop.y"
          :width="crop.width"
          :height="crop.height"
        />
      </template>
    </g>
    <g v-if="margins" class="measures">
      <rect
        :x="placement.margin"
        :y="placement.margin"
        :width="placement.width - 2 * placement.margin"
        :height="placement.height - 2 * placement.margin"
      />
      <line v-for="x in columns" :key="x" :x1="x" :x2="x" y1="0" :y2="placement.height" />
      <line x1="0" :x2="placement.width" :y1="placement.height / 2" :y2="placement.height / 2" />
    </g>
    <rect
      v-for="(place, i) in places"
      :key="`p${i}`"
      class="place"
      :stroke-width="stroke"
      v-bind="place"
    />
    <rect
      v-if="pointed"
      class="pointed"
      :stroke-width="stroke"
      :x="pointed.ink.x - stroke * 2"
      :y="pointed.ink.y - stroke * 2"
      :width="pointed.ink.width + stroke * 4"
      :height="pointed.ink.height + stroke * 4"
    />
  </svg>
</template>

<style scoped>
.over {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}

.margin {
  fill: rgb(31 45 42 / 0.28);
}

.covered {
  fill: rgb(31 45 42 / 0.6);
}

text {
  fill: #fff;
  font-family: var(--text);
  text-anchor: middle;
  dominant-baseline: central;
}

.crop {
  fill: none;
  stroke: #fff;
  stroke-dasharray: 2.5%;
  paint-order: stroke;
  filter: drop-shadow(0 0 1px #000);
}

.measures * {
  fill: none;
  stroke: var(--leaf);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
  filter: drop-shadow(0 0 1px #fff);
}

.place {
  fill: none;
  stroke: var(--berry);
  stroke-dasharray: 2.5% 1.5%;
}

.pointed {
  fill: none;
  stroke: var(--zest);
}
</style>
