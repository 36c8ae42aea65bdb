<script setup lang="ts">
import { Minus, Plus } from "@lucide/vue";
import { NButton } from "naive-ui";
import { useBench } from "../bench";
import { useHand } from "./hand";
import type { Zoom } from "./use-zoom";

/** How near one looks at the large size, and what is drawn over it. */
defineProps<{ zoom: Zoom }>();
const hand = useHand();
const bench = useBench();
</script>

<template>
  <div class="bar" role="group" aria-label="Zoom">
    <NButton size="small" quaternary aria-label="Farther" title="−" @click="zoom.farther()">
      <Minus :size="15" aria-hidden="true" />
    </NButton>
    <span class="number" role="status">{{ Math.round(100 * zoom.scale.value) }} %</span>
    <NButton size="small" quaternary aria-label="Nearer" title="+" @click="zoom.nearer()">
      <Plus :size="15" aria-hidden="true" />
    </NButton>
    <NButton size="small" quaternary :aria-pressed="zoom.isFit.value" title="0" @click="zoom.fit()">
      Whole
    </NButton>
    <NButton size="small" quaternary title="A pixel for a pixel" @click="zoom.actual()">
      100 %
    </NButton>
    <NButton size="small" quaternary title="As large as its viewers see it" @click="zoom.asSeen()">
      As seen
    </NButton>
    <NButton
      v-if="hand.chosen.length > 0"
      size="small"
      quaternary
      title="z"
      @click="hand.hull && zoom.to(hand.hull)"
    >
      Selection
    </NButton>
    <NButton
      size="small"
      :quaternary="!bench.showMargins"
      :secondary="bench.showMargins"
      :aria-pressed="bench.showMargins"
      title="m"
      @click="bench.showMargins = !bench.showMargins"
    >
      Margins
    </NButton>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  align-items: center;
  justify-content: center;
}

.number {
  min-width: 52px;
  text-align: center;
}
</style>
