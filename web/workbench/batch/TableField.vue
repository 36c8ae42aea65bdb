<script setup lang="ts">
import { NButton } from "naive-ui";
import { FileSpreadsheet } from "@lucide/vue";
import { computed, ref } from "vue";
import { LOOK_COLUMNS, slotsWithAlternatives } from "../../../core/batch";
import { slotName } from "../../../core/message";
import { listed } from "../../common/counted";
import { useBatch } from "./batch";
import { usePiece } from "../piece";
import FileButton from "../../ui/FileButton.vue";
import TableRows from "./TableRows.vue";
import TextField from "../../ui/TextField.vue";

/** Where a table comes in: pasted, opened or dropped; then it is worked on in place, with what is used of it. */
const batch = useBatch();
const open = usePiece();
const text = ref("");
const example = computed(() =>
  batch.slots
    .slice(0, 3)
    .map(({ name }) => name)
    .join(", "),
);
const looks = listed(LOOK_COLUMNS);
const kept = computed(() => (open.whole ? slotsWithAlternatives(open.whole) : []));

/** Rows that are pasted into the empty field are a table at once. It stays there to be put right when it cannot be read. */
async function paste(event: ClipboardEvent): Promise<void> {
  const pasted = event.clipboardData?.getData("text/plain") ?? "";
  const isIntoField = event.target instanceof HTMLTextAreaElement;
  if (!isIntoField || text.value !== "" || !pasted.trim().includes("\n")) return;
  event.preventDefault();
  await batch.read(pasted);
  if (!batch.table) text.value = pasted;
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
    @paste="paste"
  >
    <template v-if="!batch.table">
      <p class="quiet">
        One row for each variation; the headings name slots of this piece, such as {{ example }}.
        Empty cells keep the piece's own words. The columns {{ looks }} say how a row looks and
        where it goes.
      </p>
      <TextField
        v-model="text"
        :rows="6"
        label="Paste a table"
        placeholder="Paste a table here, or drop a CSV, JSON or XLSX file"
      />
      <div class="row-of-actions">
        <NButton type="primary" :disabled="!text.trim()" @click="batch.read(text)">
          Use this table
        </NButton>
        <FileButton label="Open a table" accept=".csv,.tsv,.txt,.json,.xlsx" @open="take($event[0])"
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
    <TableRows v-else @close="batch.clear()" />
  </section>
</template>

<style scoped>
.table {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
</style>
