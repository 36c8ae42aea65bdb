<script setup lang="ts">
import { useRefHistory } from "@vueuse/core";
import { NButton } from "naive-ui";
import { Redo2, Undo2 } from "@lucide/vue";
import { storeToRefs } from "pinia";
import { computed, defineAsyncComponent, ref } from "vue";
import { grid, lookColumnNamed, type BatchSlot, type Table } from "../../../core/batch";
import { slotName } from "../../../core/message";
import { counted } from "../../common/counted";
import NoteList from "../../common/NoteList.vue";
import SelectField from "../../ui/SelectField.vue";
import { usePiece } from "../piece";
import { useBatch } from "./batch";
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

/** Columns whose headings do not say what they are for: what stands in them may. */
const unnamed = computed(() =>
  table.value.columns.flatMap((heading, column) => {
    const { slot, by } = batch.matches[column] ?? {};
    if (by === "name" || lookColumnNamed(heading)) return [];
    return [{ heading: heading || "no heading", column, slot }];
  }),
);
/** Slots that no column is for yet, or that this one seems to be for. */
const offered = (own: BatchSlot | undefined) =>
  batch.slots
    .filter((slot) => slot === own || !batch.matches.some((one) => one.slot === slot))
    .map(({ name }) => ({ value: name, label: slotName(name) }));
const notes = computed(() => [...batch.tableNotes, ...(batch.plan?.notes ?? [])]);

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
    <div v-if="unnamed.length" class="row-of-actions">
      <SelectField
        v-for="{ column, heading, slot } in unnamed"
        :key="column"
        class="heading"
        :label="`What “${heading}” is for`"
        :placeholder="`“${heading}” is not used`"
        :model-value="slot?.name"
        :options="offered(slot)"
        @update:model-value="edit((now) => grid.withHeading(now, column, String($event)))"
      />
    </div>
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

.heading {
  max-width: 260px;
}
</style>
