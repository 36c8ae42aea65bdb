<script setup lang="ts">
import { NButton } from "naive-ui";
import { useLocalStorage } from "@vueuse/core";
import { computed, ref, useTemplateRef, watchEffect } from "vue";
import { counted } from "../../common/counted";
import SheetLinks from "../SheetLinks.vue";
import SizePicker from "./SizePicker.vue";
import SliderField from "../../ui/SliderField.vue";
import LargeSize from "./LargeSize.vue";
import WallBar from "./WallBar.vue";
import WallTile from "./WallTile.vue";
import { useBench } from "../bench";
import { usePiece } from "../piece";
import { useRoom } from "../use-room";
import { channelName, GAP, packed, wallWidths } from "../../wall/packing";

/** The wall: every size of the piece, live. One of them can be looked at large. */

const open = usePiece();
const bench = useBench();
const pickerShown = ref(false);
const centre = useTemplateRef("centre");
const room = useRoom(centre);
/** Kept for the next time; 1 shows about three rows on a common screen. */
const zoom = useLocalStorage("wall-zoom", 1);

const placements = computed(() => open.placements);
/** A wide screen shows the sizes larger, not fewer rows of them. `USUAL` is the width on a common one, in CSS pixels. */
const USUAL = 660;
const roomy = computed(() => Math.max(1, Math.sqrt(room.width / USUAL)));
const widths = computed(() => wallWidths(placements.value, zoom.value * roomy.value));
const PADDING = 22;
const groups = computed(() => packed(open.groups, widths.value, room.width - 2 * PADDING));
watchEffect(() => {
  bench.order = groups.value.flatMap((group) => group.placements.map(({ id }) => id));
});
</script>

<template>
  <div ref="centre" class="sizes">
    <WallBar :title="bench.largeOne?.name ?? counted(placements.length, 'size')">
      <SliderField
        v-if="!bench.large"
        v-model="zoom"
        class="zoom"
        label="How large the sizes are"
        :min="0.5"
        :max="2.5"
        :step="0.1"
      />
      <template #wall>
        <SheetLinks />
        <NButton class="choose" @click="pickerShown = true">Choose sizes</NButton>
      </template>
    </WallBar>
    <LargeSize v-if="bench.largeOne" :placement="bench.largeOne" :room="room" />
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

.zoom {
  width: 76px;
  margin-right: 8px;
}

.choose {
  margin-left: 8px;
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
</style>
