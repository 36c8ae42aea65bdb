<script setup lang="ts">
import { computed } from "vue";
import type { Placement } from "../../../core/placements";
import { slideOf } from "../../../core/strip";
import GraphicTile from "../../common/GraphicTile.vue";
import { useWall } from "../../wall/use-wall";
import { usePiece } from "../piece";

/** One slide, live. The one that is worked on follows each key; the others are painted when they change. */
const props = defineProps<{ index: number; placement: Placement; width: number }>();
const open = usePiece();
const piece = computed(() => open.whole && slideOf(open.whole, props.index));
const wall = useWall({ piece: () => piece.value, brand: () => open.brand });
</script>

<template>
  <GraphicTile :wall="wall" :placement="placement" :width="width" :label="`Slide ${index + 1}`" />
</template>
