<script setup lang="ts">
import { useRefHistory } from "@vueuse/core";
import { NButton } from "naive-ui";
import { Redo2, Undo2 } from "@lucide/vue";
import { storeToRefs } from "pinia";
import { computed, defineAsyncComponent, ref } from "vue";
import { grid, type Table, type TableNote } from "../../../core/batch";
import { counted } from "../../common/counted";
import NoteList from "../../common/NoteList.vue";
import { usePiece } from "../piece";
import { useBatch } from "./batch";
import ColumnMatches from "./ColumnMatches.vue";
import FormatColumn from "./FormatColumn.vue";
import RowPreview from "./RowPreview.vue";

/** The table of a batch, worked on in place: its grid, what is done to rows and columns, and what is said of it. */
const emit = defineEmits<{ close: [] }>();

/** Of the grid at most, in CSS pixels. */
const HEIGHT = 320;
const MOST_STEPS = 100;
const TableGrid = defineAsyncComponent(() => import("./TableGrid.vue"));

const batch = useBatch();
const open = usePiece();
const { table: kept } = storeToRefs(batch);
/** It is there as long as this is shown. */
const table = computed({ get: () => kept.value!, set: (to) => (kept.value = to) });
const { undo, redo, canUndo, canRedo } = useRefHistory(kept, {
  capacity: MOST_STEPS,
  flush: "sync",
});
const steps = computed(() => [
  { name: "Undo", icon: Undo2, can: canUndo.value, go: undo },
  { name: "Redo", icon: Redo2, can: canRedo.value, go: redo },
]);
const block = ref<grid.Block>({ row: 0, column: 0, rows: 1, columns: 1 });

/** What each column is for is shown, not said. */
const SHOWN: ReadonlySet<TableNote["code"]> = new Set(["by-content", "unknown-column"]);
const notes = computed(() =>
  [...batch.tableNotes, ...(batch.plan?.notes ?? [])].filter(({ code }) => !SHOWN.has(code)),
);

/** The slide that is worked on is the one whose words are written. */
function select(to: grid.Block): void {
  block.value = to;
  const slot = batch.matches[to.column]?.slot;
  if (slot) open.slide = slot.slide;
}

function edit(by: (table: Table, block: grid.Block) => Table): void {
  table.value = by(table.value, block.value);
}
</script>

<template>
  <div class="edit">
    <div class="rows">
      <TableGrid
        :table="table"
        :height="HEIGHT"
        @change="table = $event"
        @undo="undo()"
        @redo="redo()"
        @select="select"
      />
      <RowPreview v-if="table.rows[block.row]" :table="table" :row="block.row" />
    </div>
    <div class="row-of-actions">
      <NButton
        v-for="{ name, icon, can, go } in steps"
        :key="name"
        quaternary
        :aria-label="`${name} in the table`"
        :disabled="!can"
        @click="go"
        ><component :is="icon" :size="16" aria-hidden="true"
      /></NButton>
      <NButton @click="edit((now) => grid.withRows(now, now.rows.length, 1))"> Add a row </NButton>
      <NButton @click="edit(grid.withoutRows)">Delete {{ counted(block.rows, "row") }}</NButton>
      <NButton @click="edit(grid.filledDown)">Fill down</NButton>
      <NButton @click="edit((now) => grid.sortedBy(now, block.column))">
        Sort by {{ table.columns[block.column] || "this column" }}
      </NButton>
      <FormatColumn :table="table" :column="block.column" @change="table = $event" />
      <span class="quiet number">{{ counted(table.rows.length, "row") }}</span>
      <NButton @click="emit('close')">Another table</NButton>
    </div>
    <ColumnMatches :table="table" @change="table = $event" />
    <NoteList :notes="notes" />
  </div>
</template>

<style scoped>
.edit {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}

.rows {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 16px;
  align-items: start;
}
</style>
