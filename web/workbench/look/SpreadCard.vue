<script setup lang="ts">
import { computed } from "vue";
import { spreadName, type Brand } from "../../../core/brand";
import type { Spread } from "../../../core/colour";
import type { Piece } from "../../../core/piece";
import { useLibrary } from "../../common/library";
import { useWall } from "../../wall/use-wall";
import GraphicTile from "../../common/GraphicTile.vue";

/** The piece at its lead size in one spread of the brand's colours. */
const props = defineProps<{ piece: Piece; brand: Brand; spread: Spread; current: boolean }>();
const emit = defineEmits<{ pick: []; point: [piece: Piece]; leave: [] }>();

const library = useLibrary();
const inSpread = computed(() => ({ ...props.piece, spread: props.spread }));
const wall = useWall({
  piece: () => inSpread.value,
  brand: () => props.brand,
});
const lead = computed(() => library.placementOf(props.piece, props.piece.lead));
const width = computed(() =>
  lead.value ? Math.sqrt((24_000 * lead.value.width) / lead.value.height) : 0,
);
const name = computed(() => spreadName(props.brand, props.spread));
</script>

<template>
  <button
    class="spread"
    :class="{ current }"
    :aria-pressed="current"
    @click="emit('pick')"
    @pointerenter="emit('point', inSpread)"
    @pointerleave="emit('leave')"
    @focus="emit('point', inSpread)"
    @blur="emit('leave')"
  >
    <GraphicTile
      v-if="lead"
      :wall="wall"
      :placement="lead"
      :width="Math.round(width)"
      :label="name"
    />
    <span>{{ name }}</span>
  </button>
</template>

<style scoped>
.spread {
  display: grid;
  gap: 8px;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  font-size: 13px;
  text-align: left;
  cursor: pointer;
}

.spread.current canvas {
  outline: 3px solid var(--zest);
  outline-offset: 3px;
}
</style>
