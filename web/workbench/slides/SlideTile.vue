<script setup lang="ts">
import type { Placement } from "../../../core/placements";
import SlidePreview from "../../common/SlidePreview.vue";
import { usePiece } from "../piece";

/** One slide of the open strip. The one that is worked on follows each key; the others are painted when they change. */
defineProps<{ index: number; placement: Placement; width: number }>();
const open = usePiece();
</script>

<template>
  <SlidePreview
    :strip="open.whole"
    :brand="open.brand"
    :index="index"
    :placement="placement"
    :width="width"
  />
</template>
