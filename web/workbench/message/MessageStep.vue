<script setup lang="ts">
import { computed, useTemplateRef, watchEffect } from "vue";
import { counted } from "../../common/counted";
import { LEAST_TILE, wallWidths } from "../../wall/packing";
import { useBench } from "../bench";
import { usePiece } from "../piece";
import { useRoom } from "../use-room";
import LargeSize from "../sizes/LargeSize.vue";
import WallBar from "../sizes/WallBar.vue";
import WallTile from "../sizes/WallTile.vue";
import { leadWidth } from "./lead-width";

/** While words are written: the lead large enough to be read, all others small beside it, live. */
const open = usePiece();
const bench = useBench();
const centre = useTemplateRef("centre");
const room = useRoom(centre);

const lead = computed(() => open.placements.find(({ id }) => id === open.piece?.lead));
const others = computed(() => open.placements.filter(({ id }) => id !== open.piece?.lead));
const leading = computed(() => (lead.value ? leadWidth(lead.value, room) : 0));
/** Small, since they are looked over and not read. */
const widths = computed(() => wallWidths(others.value, 0.5));
watchEffect(() => {
  bench.order = [lead.value, ...others.value].flatMap((one) => one?.id ?? []);
});
</script>

<template>
  <div ref="centre" class="message">
    <WallBar
      :title="lead?.name ?? ''"
      :about="`${counted(others.length, 'size')} ${others.length === 1 ? 'follows' : 'follow'}`"
    />
    <LargeSize v-if="bench.largeOne" :placement="bench.largeOne" :room="room" />
    <div v-else-if="lead" class="columns">
      <WallTile :placement="lead" :width="leading" class="lead" />
      <div class="others">
        <WallTile
          v-for="placement in others"
          :key="placement.id"
          :placement="placement"
          :width="Math.min(LEAST_TILE, widths.get(placement.id) ?? 1)"
          brief
        />
      </div>
    </div>
  </div>
</template>

<style scoped>
.message {
  min-height: 100%;
  padding: 16px 22px 48px;
}

.columns {
  display: flex;
  flex-wrap: wrap;
  gap: 24px;
  align-items: start;
}

.lead {
  position: sticky;
  top: 16px;
  flex: none;
}

.others {
  display: flex;
  flex: 1 1 136px;
  flex-wrap: wrap;
  gap: 16px;
  align-items: end;
  min-width: 136px;
}
</style>
