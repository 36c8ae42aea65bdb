<script setup lang="ts">
import { computed } from "vue";
import type { Piece } from "../../../core/piece";
import type { Placement } from "../../../core/placements";
import { same } from "../../../core/same";
import { slideOf } from "../../../core/strip";
import GraphicTile from "../../common/GraphicTile.vue";
import { useWall } from "../../wall/use-wall";
import { usePiece } from "../piece";

/** One slide, live. The one that is worked on follows each key; the others are painted when they change. */
const props = defineProps<{ index: number; placement: Placement; width: number }>();
const open = usePiece();
/** The same object while nothing of this slide changes: then nothing is laid out again. */
const piece = computed<Piece | undefined>((before) => {
  const now = open.whole && slideOf(open.whole, props.index);
  return same(before, now) ? before : now;
});
const wall = useWall({ piece: () => piece.value, brand: () => open.brand });
</script>

<template>
  <GraphicTile :wall="wall" :placement="placement" :width="width" :label="`Slide ${index + 1}`" />
</template>
