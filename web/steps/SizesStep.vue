<script setup lang="ts">
import { useElementSize } from "@vueuse/core";
import { computed, ref, useTemplateRef } from "vue";
import type { Placement } from "../../core/placements";
import { counted } from "../parts/counted";
import SizePicker from "../parts/SizePicker.vue";
import WallTile from "../parts/WallTile.vue";
import type { Step } from "../router";
import { useBench } from "../stores/bench";
import { usePiece } from "../stores/piece";
import { tileWidth } from "../wall/packing";

/** The wall: every size of the piece, live. One of them can be looked at large. */
defineProps<{ step: Step }>();

const open = usePiece();
const bench = useBench();
const pickerShown = ref(false);
const centre = useTemplateRef("centre");
const { width: roomWidth, height: roomHeight } = useElementSize(centre);

const placements = computed(() => open.placements);
const AREA = 36_000;
const MOST_WIDTH = 320;

const largeOne = computed(() =>
  bench.large ? placements.value.find((placement) => placement.id === bench.current) : undefined,
);

/** As large as the room allows, but never larger than it will be seen. */
function largeWidth({ width, height }: Placement): number {
  const [wide, high] = [roomWidth.value - 64, roomHeight.value - 120];
  return Math.round(Math.max(60, Math.min(wide, (high * width) / height, width)));
}
</script>

<template>
  <div ref="centre" class="sizes">
    <header>
      <h2>{{ counted(placements.length, "size") }}</h2>
      <span class="quiet">all follow the message</span>
      <span class="space"></span>
      <button
        class="button plain"
        :aria-pressed="bench.showCovered"
        title="g"
        @click="bench.showCovered = !bench.showCovered"
      >
        {{ bench.showCovered ? "Hide covered areas" : "Show covered areas" }}
      </button>
      <button v-if="bench.large" class="button" @click="bench.large = false">
        Back to the wall
      </button>
      <button v-else class="button" @click="pickerShown = true">Add a size</button>
    </header>
    <div v-if="largeOne" class="large">
      <WallTile :key="largeOne.id" :placement="largeOne" :width="largeWidth(largeOne)" />
    </div>
    <div v-else class="wall">
      <WallTile
        v-for="placement in placements"
        :key="placement.id"
        :placement="placement"
        :width="tileWidth(placement, AREA, MOST_WIDTH)"
      />
    </div>
    <SizePicker v-model:shown="pickerShown" />
  </div>
</template>

<style scoped>
.sizes {
  min-height: 100%;
  padding: 16px 22px 48px;
}

header {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 32px;
  margin-bottom: 16px;
}

.space {
  flex: 1;
}

.wall {
  display: flex;
  flex-wrap: wrap;
  gap: 24px 20px;
  align-items: end;
}

.large {
  display: grid;
  justify-content: center;
}
</style>
