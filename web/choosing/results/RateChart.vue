<script setup lang="ts">
import { scaleLinear } from "d3-scale";
import { useElementSize } from "@vueuse/core";
import { computed, useTemplateRef } from "vue";
import { percent } from "../../../core/wording/numbers";

export interface Rate {
  name: string;
  about: string;
  rate: number;
  low: number;
  high: number;
  acted: number;
  shown: number;
}

/** Rates with their intervals, one below the other; the best first. `most` is the scale's end; `wide` for long names. */
const props = defineProps<{
  rates: readonly Rate[];
  most: number;
  label: string;
  wide?: boolean;
}>();

const ROW = 26;
const AXIS = 22;
/** For the figure at the right. */
const RIGHT = 150;
const box = useTemplateRef("box");
const { width } = useElementSize(box);
const left = computed(() => (props.wide ? Math.min(320, 0.36 * width.value) : 64));
const scale = computed(() =>
  scaleLinear(
    [0, props.most || 1],
    [left.value, Math.max(left.value + 40, width.value - RIGHT)],
  ).nice(5),
);
const ticks = computed(() => scale.value.ticks(5));
const height = computed(() => props.rates.length * ROW + AXIS);
/** Where an interval reaches below the best one's, it may be as good. */
const best = computed(() => props.rates[0]);
</script>

<template>
  <div ref="box" class="chart">
    <svg
      v-if="width > 0"
      :width="width"
      :height="height"
      role="img"
      :aria-label="`${label}: ${rates.map(({ name, rate }) => `${name} ${percent(rate)}`).join('; ')}`"
    >
      <g class="axis">
        <g v-for="tick in ticks" :key="tick" :transform="`translate(${scale(tick)} 0)`">
          <line :y1="0" :y2="height - AXIS" />
          <text :y="height - 6" text-anchor="middle">{{ percent(tick) }}</text>
        </g>
      </g>
      <g
        v-for="({ name, about, rate, low, high, acted, shown }, index) in rates"
        :key="name"
        :transform="`translate(0 ${index * ROW + ROW / 2})`"
        :class="{ best: best && high >= best.low }"
      >
        <title>
          {{ name }}: {{ acted }} of {{ shown }}, between {{ percent(low) }} and
          {{ percent(high) }}. {{ about }}
        </title>
        <foreignObject :x="0" :y="-10" :width="left - 12" :height="20">
          <div class="name" :title="name">{{ name }}</div>
        </foreignObject>
        <line class="interval" :x1="scale(low)" :x2="scale(high)" />
        <circle :cx="scale(rate)" r="4.5" />
        <text class="value" :x="width" dy="0.35em" text-anchor="end">
          {{ percent(rate) }}, {{ acted.toLocaleString("en") }} of {{ shown.toLocaleString("en") }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.chart {
  width: 100%;
}

svg {
  display: block;
  font: 12px/1 var(--text);
  font-variant-numeric: tabular-nums;
}

.axis line {
  stroke: var(--line);
}

.axis text,
.value {
  fill: var(--quiet);
}

.interval {
  stroke: var(--line-strong);
  stroke-width: 3;
  stroke-linecap: round;
}

circle {
  fill: var(--quiet);
}

.best .interval {
  stroke: var(--leaf);
}

.best circle {
  fill: var(--leaf);
}

.name {
  overflow: hidden;
  color: var(--ink);
  font: 13px/20px var(--text);
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
