<script setup lang="ts">
import { computed } from "vue";
import type { Brand } from "../../../core/brand";
import { baseId, type Spread } from "../../../core/colour";
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
const colourName = (id = ""): string =>
  props.brand.colours.find((colour) => colour.id === baseId(id))?.name ?? "another colour";
/** The words and the ground, then the third colour where there is one. */
const name = computed(() => {
  const { backdrop, headline, action, ornament } = props.spread;
  const pair = [backdrop, headline].map((id) => baseId(id ?? ""));
  const third = [action, ornament].map((id) => baseId(id ?? "")).find((id) => !pair.includes(id));
  const [ground, words] = pair.map(colourName);
  return `${words} on ${ground}${third ? ` with ${colourName(third)}` : ""}`;
});
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
