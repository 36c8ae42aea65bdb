<script setup lang="ts">
import { useElementVisibility } from "@vueuse/core";
import { computed, shallowRef, useTemplateRef, watch } from "vue";
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import { useLibrary } from "./library";
import { useWall } from "../wall/use-wall";
import GraphicTile from "./GraphicTile.vue";
import { previewWidth } from "./previews";

/**
 * A piece as it would begin: fitted to its words as it will be when it is picked. Painted only while it can be seen,
 * so that many scroll well. `area` and `widest` are CSS pixels.
 */
const props = defineProps<{
  piece: Piece;
  brand: Brand;
  area: number;
  widest: number;
  label: string;
}>();
const emit = defineEmits<{ pick: [piece: Piece]; point: [piece: Piece]; leave: [] }>();

const library = useLibrary();
const box = useTemplateRef("box");
const seen = useElementVisibility(box, { rootMargin: "200px" });
const lead = computed(() => library.placementOf(props.piece, props.piece.lead));
const width = computed(() => (lead.value ? previewWidth(lead.value, props.area, props.widest) : 0));
const height = computed(() =>
  lead.value ? Math.round((width.value * lead.value.height) / lead.value.width) : 0,
);

const fitted = shallowRef<Piece>();
watch(
  () => props.piece,
  () => (fitted.value = undefined),
);
const wall = useWall({
  piece: () => props.piece,
  brand: () => props.brand,
  onFitted: (piece) => (fitted.value = piece),
});
</script>

<template>
  <button
    ref="box"
    class="graphic"
    :style="{ width: `${width}px`, height: `${height}px` }"
    :aria-label="label"
    @click="emit('pick', fitted ?? piece)"
    @pointerenter="emit('point', fitted ?? piece)"
    @pointerleave="emit('leave')"
    @focus="emit('point', fitted ?? piece)"
    @blur="emit('leave')"
  >
    <GraphicTile
      v-if="seen && lead"
      :wall="wall"
      :placement="lead"
      :width="width"
      :label="label"
      :prepared="piece.id"
    />
  </button>
</template>

<style scoped>
.graphic {
  display: block;
  padding: 0;
  border: 0;
  background: var(--line);
  cursor: pointer;
}

.graphic:hover {
  outline: 2px solid var(--leaf);
  outline-offset: 3px;
}
</style>
