<script setup lang="ts">
import { computed, watch } from "vue";
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import type { LayoutReport } from "../../core/preflight";
import { same } from "../../core/same";
import { slideOf } from "../../core/strip";
import { useWall } from "../wall/use-wall";
import GraphicTile from "./GraphicTile.vue";

/** One slide of a strip, live; `fitted` where it stands as it will when its template is picked. */
const props = defineProps<{
  strip: Piece | undefined;
  brand: Brand | undefined;
  index: number;
  placement: Placement;
  width: number;
  fitted?: boolean;
  /** Sizes to tell of how it comes out there. */
  reportsOn?: readonly Placement[];
}>();
const emit = defineEmits<{
  fitted: [piece: Piece];
  reports: [reports: ReadonlyMap<string, LayoutReport>];
}>();
const NONE: readonly Placement[] = [];
/** The same object while nothing of this slide changes: then nothing is laid out again. */
const piece = computed<Piece | undefined>((before) => {
  const now = props.strip && slideOf(props.strip, props.index);
  return same(before, now) ? before : now;
});
const wall = useWall({
  piece: () => piece.value,
  brand: () => props.brand,
  reportsOn: () => props.reportsOn ?? NONE,
  ...(props.fitted ? { onFitted: (made: Piece) => emit("fitted", made) } : {}),
});
watch(wall.reports, (reports) => props.reportsOn && emit("reports", reports));
</script>

<template>
  <GraphicTile :wall="wall" :placement="placement" :width="width" :label="`Slide ${index + 1}`" />
</template>
