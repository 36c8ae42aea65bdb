<script setup lang="ts">
import { computed } from "vue";
import { applyVariation, readTable, type SlotValue, type Table } from "../../../core/batch";
import GraphicTile from "../../common/GraphicTile.vue";
import { useLibrary } from "../../common/library";
import { previewWidth } from "../../common/previews";
import { useWall } from "../../wall/use-wall";
import { usePiece } from "../piece";

/** What a row makes of the piece, while it is written: its lead, with the row's words and pictures. */
const props = defineProps<{ table: Table; row: number }>();

/** In CSS pixels, and squared. */
const AREA = 36_000;
const WIDEST = 180;

const open = usePiece();
const library = useLibrary();
const piece = computed(() => open.piece && applyVariation(open.piece, { message: said() }));
const lead = computed(() => piece.value && library.placementOf(piece.value, piece.value.lead));
const wall = useWall({ piece: () => piece.value, brand: () => open.brand });

function said(): Record<string, SlotValue> {
  const said: Record<string, SlotValue> = {};
  const rows = [props.table.rows[props.row] ?? []];
  try {
    const read = readTable({ ...props.table, rows }, open.piece!, library.pictures);
    for (const [slot, value] of Object.entries(read.rows[0] ?? {})) if (value) said[slot] = value;
  } catch {
    // No column is for a slot, as is said beneath the table: the piece's own words stay.
  }
  return said;
}
</script>

<template>
  <figure v-if="piece && lead" class="preview">
    <GraphicTile
      :wall="wall"
      :placement="lead"
      :width="previewWidth(lead, AREA, WIDEST)"
      :label="`Row ${row + 1}`"
    />
    <figcaption class="quiet">Row {{ row + 1 }}, by itself</figcaption>
  </figure>
</template>

<style scoped>
.preview {
  display: grid;
  gap: 4px;
  margin: 0;
}
</style>
