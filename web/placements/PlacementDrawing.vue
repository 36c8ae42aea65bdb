<script setup lang="ts">
import { computed } from "vue";
import type { Placement } from "../../core/placements";
import SafetyOverlay from "../common/SafetyOverlay.vue";

/** A placement's frame with its safe area, what the channel covers and its crops. `room` is CSS pixels. */
const props = defineProps<{ placement: Placement; room: { width: number; height: number } }>();

const size = computed(() => {
  const { width, height } = props.placement;
  const scale = Math.min(props.room.width / width, props.room.height / height);
  return { width: `${width * scale}px`, height: `${height * scale}px` };
});
</script>

<template>
  <div
    class="frame"
    :style="size"
    role="img"
    :aria-label="`Safe area of ${placement.name}: ${placement.margin} px margin, ${placement.covered.length} covered, ${placement.crops.length} crops`"
  >
    <SafetyOverlay :placement="placement" covered :places="[]" />
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  flex: none;
  overflow: hidden;
  background: var(--leaf-tint);
  outline: 1px solid var(--line-strong);
}
</style>
