<script setup lang="ts">
import type { Placement } from "../../../core/placements";
import SlidePreview from "../../common/SlidePreview.vue";
import { computed } from "vue";
import { slideIds } from "../../../core/strip";
import { usePiece } from "../piece";
import { useSlideReports } from "./slide-reports";

/** One slide of the open strip. The one that is worked on follows each key; the others are painted when they change. */
const props = defineProps<{
  index: number;
  placement: Placement;
  width: number;
  /** It tells how the slide comes out on every size. */
  tells?: boolean;
}>();
const open = usePiece();
const slides = useSlideReports();
const id = computed(() => (open.whole && slideIds(open.whole)[props.index]) ?? "");
/** The wall has those of the slide that is worked on. */
const isTold = computed(() => props.tells && props.index !== open.slide);
</script>

<template>
  <SlidePreview
    :strip="open.whole"
    :brand="open.brand"
    :index="index"
    :placement="placement"
    :width="width"
    :reports-on="isTold ? slides.placementsOf(index) : undefined"
    @reports="slides.tell(id, $event)"
  />
</template>
