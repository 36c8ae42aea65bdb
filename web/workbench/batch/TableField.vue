<script setup lang="ts">
import { NButton } from "naive-ui";
import { FileSpreadsheet } from "@lucide/vue";
import { computed, ref } from "vue";
import { slotNamed, slotsWithAlternatives } from "../../../core/batch";
import { slotName } from "../../../core/message";
import { useBatch } from "./batch";
import { usePiece } from "../piece";
import { counted } from "../../common/counted";
import FileButton from "../../ui/FileButton.vue";
import TextField from "../../ui/TextField.vue";

/** Where a table comes in: pasted, opened or dropped; then it is shown, with what is used of it. */
const batch = useBatch();
const open = usePiece();
const text = ref("");
const ROWS_SHOWN = 8;

const slots = computed(() => Object.keys(open.piece?.message ?? {}));
const example = computed(() => slots.value.slice(0, 3).join(", "));
const kept = computed(() => (open.piece ? slotsWithAlternatives(open.piece) : []));
const isUsed = (column: string) => slotNamed(column, slots.value) !== undefined;
const notes = computed(() => [...batch.tableNotes, ...(batch.plan?.notes ?? [])]);
const NOTES_SHOWN = 5;

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
        <NButton v-if="kept.length" @click="batch.takeAlternatives()">
          Use saved alternatives: {{ kept.map(slotName).join(", ").toLowerCase() }}
        </NButton>
      </div>
    </template>
    <template v-else>
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th scope="col" class="number">#</th>
              <th
                v-for="(column, index) in batch.table.columns"
                :key="index"
                scope="col"
                :class="{ unused: !isUsed(column) }"
              >
                {{ column || "no heading" }}<span v-if="!isUsed(column)"> (not used)</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, index) in batch.table.rows.slice(0, ROWS_SHOWN)" :key="index">
              <td class="quiet number">{{ index + 1 }}</td>
              <td
                v-for="(column, at) in batch.table.columns"
                :key="at"
                :class="{ unused: !isUsed(column) }"
              >
                {{ row[at] }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="actions">
        <span class="quiet number">
          {{ counted(batch.table.rows.length, "row")
          }}{{ batch.table.rows.length > ROWS_SHOWN ? `, the first ${ROWS_SHOWN} shown` : "" }}
        </span>
        <NButton @click="batch.clear()">Another table</NButton>
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
  gap: 12px;
}

.actions {
  display: flex;
  gap: 8px;
  align-items: center;
}

.scroll {
  max-height: 300px;
  overflow: auto;
  border: 1px solid var(--line);
  background: var(--card);
}

table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
}

th,
td {
  max-width: 260px;
  padding: 6px 10px;
  overflow: hidden;
  border-bottom: 1px solid var(--line);
  text-align: left;
  text-overflow: ellipsis;
  white-space: nowrap;
}

th {
  position: sticky;
  top: 0;
  background: var(--card);
  font-weight: 650;
}

.unused {
  color: var(--quiet);
  font-weight: 400;
}

.notes {
  padding: 10px 14px 10px 30px;
  margin: 0;
  border-left: 3px solid var(--lemon);
  background: var(--lemon-tint);
  font-size: 13px;
}
</style>
