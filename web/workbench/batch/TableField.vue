<script setup lang="ts">
import { NButton } from "naive-ui";
import { FileSpreadsheet, Redo2, Undo2 } from "@lucide/vue";
import { storeToRefs } from "pinia";
import { computed, defineAsyncComponent, ref } from "vue";
import { grid, slotNamed, slotsWithAlternatives, type Table } from "../../../core/batch";
import { slotName } from "../../../core/message";
import { useBatch } from "./batch";
import { usePiece } from "../piece";
import { counted } from "../../common/counted";
import FileButton from "../../ui/FileButton.vue";
import FormatColumn from "./FormatColumn.vue";
import RowPreview from "./RowPreview.vue";
import SelectField from "../../ui/SelectField.vue";
import TextField from "../../ui/TextField.vue";
import { useSteps } from "./use-steps";

/** Where a table comes in: pasted, opened or dropped; then it is worked on in place, with what is used of it. */
const batch = useBatch();
const open = usePiece();
const text = ref("");
/** Of the grid at most, in CSS pixels. */
const HEIGHT = 320;
const TableGrid = defineAsyncComponent(() => import("./TableGrid.vue"));
const steps = useSteps(storeToRefs(batch).table);
const block = ref<grid.Block>({ row: 0, column: 0, rows: 1, columns: 1 });

const slots = computed(() => Object.keys(open.piece?.message ?? {}));
const example = computed(() => slots.value.slice(0, 3).join(", "));
const kept = computed(() => (open.piece ? slotsWithAlternatives(open.piece) : []));
const unused = computed(() =>
  (batch.table?.columns ?? []).flatMap((heading, column) =>
    slotNamed(heading, slots.value) ? [] : [{ heading: heading || "no heading", column }],
  ),
);
/** Slots that no column is for yet. */
const free = computed(() =>
  slots.value
    .filter((slot) => !batch.table?.columns.some((heading) => slotNamed(heading, [slot])))
    .map((slot) => ({ value: slot, label: slotName(slot) })),
);
/** The row that is worked on. */
const row = computed(() => batch.table?.rows[block.value.row] && { at: block.value.row });
const notes = computed(() => [...batch.tableNotes, ...(batch.plan?.notes ?? [])]);
const NOTES_SHOWN = 5;

function edit(by: (table: Table, block: grid.Block) => Table): void {
  if (batch.table) steps.change(by(batch.table, block.value));
}

async function take(file: File | undefined): Promise<void> {
  if (file) await batch.read(file);
}
</script>

<template>
  <section
    class="table"
    aria-label="Table"
    @dragover.prevent
    @drop.prevent="take($event.dataTransfer?.files[0])"
  >
    <template v-if="!batch.table">
      <p class="quiet">
        One row for each variation; the headings name slots of this piece, such as {{ example }}.
        Empty cells keep the piece's own words.
      </p>
      <TextField
        v-model="text"
        :rows="6"
        label="Paste a table"
        placeholder="Paste a table here, or drop a CSV or XLSX file"
      />
      <div class="actions">
        <NButton type="primary" :disabled="!text.trim()" @click="batch.read(text)">
          Use this table
        </NButton>
        <FileButton label="Open a table" accept=".csv,.tsv,.txt,.xlsx" @open="take($event[0])"
          ><template #text
            ><FileSpreadsheet :size="16" aria-hidden="true" /> Open a file</template
          ></FileButton
        >
        <NButton @click="batch.begin()">Write rows here</NButton>
        <NButton v-if="kept.length" @click="batch.takeAlternatives()">
          Use saved alternatives: {{ kept.map(slotName).join(", ").toLowerCase() }}
        </NButton>
      </div>
    </template>
    <template v-else>
      <div class="rows">
        <TableGrid
          :table="batch.table"
          :height="HEIGHT"
          @change="steps.change"
          @undo="steps.undo()"
          @redo="steps.redo()"
          @select="block = $event"
        />
        <RowPreview v-if="row" :table="batch.table" :row="row.at" />
      </div>
      <div class="actions">
        <NButton
          quaternary
          aria-label="Undo in the table"
          :disabled="!steps.canUndo.value"
          @click="steps.undo()"
          ><Undo2 :size="16" aria-hidden="true"
        /></NButton>
        <NButton
          quaternary
          aria-label="Redo in the table"
          :disabled="!steps.canRedo.value"
          @click="steps.redo()"
          ><Redo2 :size="16" aria-hidden="true"
        /></NButton>
        <NButton @click="edit((table) => grid.withRows(table, table.rows.length, 1))">
          Add a row
        </NButton>
        <NButton @click="edit(grid.withoutRows)">Delete {{ counted(block.rows, "row") }}</NButton>
        <NButton @click="edit(grid.filledDown)">Fill down</NButton>
        <NButton @click="edit((table) => grid.sortedBy(table, block.column))">
          Sort by {{ batch.table.columns[block.column] || "this column" }}
        </NButton>
        <FormatColumn :table="batch.table" :column="block.column" @change="steps.change" />
        <span class="quiet number">{{ counted(batch.table.rows.length, "row") }}</span>
        <NButton @click="batch.clear()">Another table</NButton>
      </div>
      <div v-if="unused.length" class="actions">
        <SelectField
          v-for="{ column, heading } in unused"
          :key="column"
          class="heading"
          :label="`What “${heading}” is for`"
          :placeholder="`“${heading}” is not used`"
          :options="free"
          @update:model-value="edit((table) => grid.withHeading(table, column, String($event)))"
        />
      </div>
      <ul v-if="notes.length" class="notes">
        <li v-for="(note, index) in notes.slice(0, NOTES_SHOWN)" :key="index">{{ note.text }}</li>
        <li v-if="notes.length > NOTES_SHOWN" class="quiet">
          and {{ notes.length - NOTES_SHOWN }} more like these
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.table {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
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

.notes {
  padding: 10px 14px 10px 30px;
  margin: 0;
  border-left: 3px solid var(--lemon);
  background: var(--lemon-tint);
  font-size: 13px;
}
</style>
