<script setup lang="ts">
import type { Placement } from "../../../core/placements";
import WallTile from "./WallTile.vue";

/** One size, as large as the room allows, but never larger than it will be seen. `room` is CSS pixels. */
const props = defineProps<{ placement: Placement; room: { width: number; height: number } }>();

function widthOf({ width, height }: Placement): number {
  const [wide, high] = [props.room.width - 64, props.room.height - 120];
  return Math.round(Math.max(60, Math.min(wide, (high * width) / height, width)));
}
</script>

<template>
  <div class="large">
    <WallTile :key="placement.id" :placement="placement" :width="widthOf(placement)" />
  </div>
</template>

<style scoped>
.large {
  display: grid;
  justify-content: center;
}
</style>
