<script setup lang="ts">
import { computed } from "vue";
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import { useWall } from "../wall/use-wall";
import { counted } from "./counted";
import GraphicTile from "./GraphicTile.vue";

/** A piece as it would be on one placement, beside others of its kind. `width` is CSS pixels. */
const props = defineProps<{
  piece: Piece;
  brand: Brand;
  placement: Placement;
  width: number;
  label: string;
}>();

const wall = useWall({
  piece: () => props.piece,
  brand: () => props.brand,
});
const mustFix = computed(
  () =>
    wall.reports.value.get(props.placement.id)?.findings.filter(({ level }) => level === "must-fix")
      .length ?? 0,
);
</script>

<template>
  <div class="version">
    <GraphicTile :wall="wall" :placement="placement" :width="width" :label="label" />
    <span v-if="mustFix" class="must">{{ counted(mustFix, "thing") }} to fix</span>
  </div>
</template>

<style scoped>
.version {
  display: grid;
  gap: 4px;
  justify-items: start;
}

.must {
  color: var(--berry);
  font-size: 12.5px;
}
</style>
