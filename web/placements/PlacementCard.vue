<script setup lang="ts">
import type { Placement } from "../../core/placements";
import PlacementDrawing from "./PlacementDrawing.vue";

/** One placement of the catalogue. `mark` says what the team has made of it. */
defineProps<{ placement: Placement; mark: string; checked: string; current: boolean }>();
const emit = defineEmits<{ pick: [] }>();

const ROOM = { width: 148, height: 112 };
</script>

<template>
  <button class="card" :class="{ current, retired: placement.retired }" @click="emit('pick')">
    <span class="stage"><PlacementDrawing :placement="placement" :room="ROOM" /></span>
    <span class="name">{{ placement.name }}</span>
    <span class="quiet number">{{ placement.width }} × {{ placement.height }}</span>
    <span class="quiet source" :title="placement.source">{{ placement.source }}</span>
    <span class="quiet number">checked {{ checked }}<b v-if="mark">{{ mark }}</b></span>
  </button>
</template>

<style scoped>
.card {
  display: grid;
  width: 172px;
  padding: 12px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: var(--card);
  color: inherit;
  font: inherit;
  font-size: 12.5px;
  line-height: 1.4;
  text-align: left;
  cursor: pointer;
}

.card:hover {
  border-color: var(--line-strong);
}

.card.current {
  border-color: var(--zest);
}

.card.retired .name,
.card.retired .stage {
  opacity: 0.5;
}

.stage {
  display: grid;
  place-items: center;
  height: 120px;
  padding-bottom: 8px;
}

.name {
  font-weight: 650;
}

.name,
.source {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

b {
  margin-left: 8px;
  color: var(--leaf);
}
</style>
