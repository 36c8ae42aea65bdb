<script setup lang="ts">
import { computed } from "vue";
import type { Brand } from "../../../core/brand";
import type { Piece } from "../../../core/piece";
import GraphicTile from "../../common/GraphicTile.vue";
import { useLibrary } from "../../common/library";
import { useWall } from "../../wall/use-wall";

/** The look that the pointer rests on, in sizes that differ most from each other; else the piece as it is. */
const props = defineProps<{ piece: Piece; brand: Brand; pointed: boolean }>();

/** In CSS pixels: each size has the same area, and none is wider than the ledger. */
const AREA = 17_000;
const WIDEST = 236;
const library = useLibrary();
const wall = useWall({ piece: () => props.piece, brand: () => props.brand });

const ratio = ({ width, height }: { width: number; height: number }): number => width / height;
const shown = computed(() => {
  const all = props.piece.sizes.flatMap(
    ({ placement }) => library.placementOf(props.piece, placement) ?? [],
  );
  const byShape = [...all].sort((a, b) => ratio(a) - ratio(b));
  const lead = library.placementOf(props.piece, props.piece.lead);
  return [...new Set([lead, byShape[0], byShape.at(-1)])].filter((one) => one !== undefined);
});
const widthOf = (size: { width: number; height: number }): number =>
  Math.round(Math.min(WIDEST, Math.sqrt(AREA * ratio(size))));
</script>

<template>
  <section aria-label="Preview" class="preview">
    <h3>{{ pointed ? "As it would be" : "As it is" }}</h3>
    <p class="quiet small">Point at a look or a colour to see it in other sizes.</p>
    <div class="tiles">
      <GraphicTile
        v-for="placement in shown"
        :key="placement.id"
        :wall="wall"
        :placement="placement"
        :width="widthOf(placement)"
        :label="`${placement.name}, preview`"
      />
    </div>
  </section>
</template>

<style scoped>
.preview {
  display: grid;
  gap: 8px;
  margin-top: 20px;
}

.tiles {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
</style>
