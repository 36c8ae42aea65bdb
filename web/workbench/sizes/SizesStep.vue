<script setup lang="ts">
import { NButton } from "naive-ui";
import { useElementSize } from "@vueuse/core";
import { computed, ref, useTemplateRef, watchEffect } from "vue";
import type { Placement } from "../../../core/placements";
import { counted } from "../../common/counted";
import SheetLinks from "../SheetLinks.vue";
import SizePicker from "./SizePicker.vue";
import WallTile from "./WallTile.vue";
import type { Step } from "../../router";
import { useBench } from "../bench";
import { usePiece } from "../piece";
import { channelName, GAP, packed, wallWidths } from "../../wall/packing";

/** The wall: every size of the piece, live. One of them can be looked at large. */
defineProps<{ step: Step }>();

const open = usePiece();
const bench = useBench();
const pickerShown = ref(false);
const centre = useTemplateRef("centre");
const { width: roomWidth, height: roomHeight } = useElementSize(centre);

const placements = computed(() => open.placements);
const widths = computed(() => wallWidths(placements.value));
const PADDING = 22;
const groups = computed(() => packed(open.groups, widths.value, roomWidth.value - 2 * PADDING));
watchEffect(() => {
  bench.order = groups.value.flatMap((group) => group.placements.map(({ id }) => id));
});

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
      <span v-if="bench.showBefore" class="back" role="status">as before the last change</span>
      <span v-else-if="step !== 'sizes'" class="quiet">all follow the message</span>
      <span class="space"></span>
      <NButton
        quaternary
        :aria-pressed="bench.showBefore"
        :disabled="!open.before"
        title="b"
        @click="bench.showBefore = !bench.showBefore"
      >
        {{ bench.showBefore ? "Back to now" : "Compare with before" }}
      </NButton>
      <NButton
        quaternary
        :aria-pressed="bench.showCovered"
        title="g"
        @click="bench.showCovered = !bench.showCovered"
      >
        {{ bench.showCovered ? "Hide covered areas" : "Show covered areas" }}
      </NButton>
      <NButton v-if="bench.large" @click="bench.large = false"> Back to the wall </NButton>
      <template v-else>
        <SheetLinks v-if="step === 'sizes'" />
        <NButton @click="pickerShown = true">Choose sizes</NButton>
      </template>
    </header>
    <div v-if="largeOne" class="large">
      <WallTile :key="largeOne.id" :placement="largeOne" :width="largeWidth(largeOne)" />
    </div>
    <div v-else class="wall" :style="{ columnGap: `${GAP.group}px` }">
      <section v-for="group in groups" :key="group.channel" class="channel">
        <h3>{{ channelName(group.channel) }}</h3>
        <div class="tiles" :style="{ columnGap: `${GAP.tile}px` }">
          <WallTile
            v-for="placement in group.placements"
            :key="placement.id"
            :placement="placement"
            :width="widths.get(placement.id) ?? 1"
          />
        </div>
      </section>
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
  white-space: nowrap;
}

.space {
  flex: 1;
}

.wall {
  display: flex;
  flex-wrap: wrap;
  row-gap: 28px;
  align-items: start;
}

.channel {
  display: grid;
  gap: 10px;
}

h3 {
  padding-bottom: 6px;
  border-bottom: 1px solid var(--line);
}

.tiles {
  display: flex;
  flex-wrap: wrap;
  row-gap: 20px;
  align-items: end;
}

.back {
  color: var(--zest);
}

.large {
  display: grid;
  justify-content: center;
}
</style>
