<script setup lang="ts">
import { computed } from "vue";
import { applyVariation, merged, readTable, type Table, type Variation } from "../../../core/batch";
import { slotName } from "../../../core/message";
import { slideOf } from "../../../core/strip";
import { listed } from "../../common/counted";
import GraphicTile from "../../common/GraphicTile.vue";
import { useLibrary } from "../../common/library";
import { previewWidth } from "../../common/previews";
import { useWall } from "../../wall/use-wall";
import { useSharedWall } from "../../wall/wall-key";
import { usePiece } from "../piece";
import { useBatch } from "./batch";

/** What a row makes of the piece, or of the slide that is worked on, while it is written: its lead, with the row's values. */
const props = defineProps<{ table: Table; row: number }>();

/** In CSS pixels, and squared. */
const AREA = 36_000;
const WIDEST = 180;

const open = usePiece();
const batch = useBatch();
/** The piece with its own words. */
const whole = useSharedWall();
const library = useLibrary();
const piece = computed(() => {
  const { whole: all, brand, slide } = open;
  if (!all || !brand) return undefined;
  return slideOf(applyVariation(all, varied(), { brand, templates: batch.arranging }), slide);
});
const lead = computed(() => piece.value && library.placementOf(piece.value, piece.value.lead));
const chosen = computed(() => open.placements.filter(({ id }) => batch.placements.includes(id)));
const wall = useWall({
  piece: () => piece.value,
  brand: () => open.brand,
  reportsOn: () => chosen.value,
});

/** Words that the piece shows on a size and that have no room there in this row: by slot, with the names of the sizes. */
const noRoom = computed(() => {
  const places = new Map<string, string[]>();
  for (const { id, name } of chosen.value) {
    const usual = whole.reports.value.get(id)?.shown ?? [];
    const { slots = [], shown = [] } = wall.reports.value.get(id) ?? {};
    for (const slot of usual)
      if (slots.includes(slot) && !shown.includes(slot))
        places.set(slot, [...(places.get(slot) ?? []), name]);
  }
  return [...places].map(([slot, names]) => `${slotName(slot)}: ${listed(names)}`);
});

function varied(): Variation {
  const rows = [props.table.rows[props.row] ?? []];
  try {
    const names = batch.looks;
    // What a column is for is told by all rows.
    const columns = props.table.columns.map(
      (heading, at) => batch.matches[at]?.slot?.name ?? heading,
    );
    const read = readTable({ columns, rows }, open.whole!, library.pictures, names);
    return merged(Object.values(read.rows[0] ?? {})).change;
  } catch {
    // No column is for a slot, as is said beneath the table: the piece's own words stay.
    return { message: {} };
  }
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
    <div v-if="noRoom.length > 0" class="small look" role="status">
      No room for
      <ul>
        <li v-for="one in noRoom" :key="one">{{ one }}</li>
      </ul>
    </div>
  </figure>
</template>

<style scoped>
.preview {
  display: grid;
  gap: 4px;
  max-width: 180px;
  margin: 0;
}

.look {
  color: var(--lemon-ink);
}

ul {
  padding-left: 16px;
  margin: 0;
}
</style>
