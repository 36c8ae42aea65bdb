<script setup lang="ts">
import { NButton, NEmpty } from "naive-ui";
import { FileSpreadsheet } from "@lucide/vue";
import { computed, onMounted, ref, shallowRef } from "vue";
import { useRouter } from "vue-router";
import type { ResultsAnswer } from "../../../core/api";
import type { Table, TableNote } from "../../../core/batch";
import { percent } from "../../../core/wording/numbers";
import { slotName } from "../../../core/message";
import { api } from "../../api/client";
import { RequestError } from "../../api/request-error";
import FileButton from "../../ui/FileButton.vue";
import NoteList from "../../common/NoteList.vue";
import SelectField from "../../ui/SelectField.vue";
import TextField from "../../ui/TextField.vue";
import { useBatch } from "../../workbench/batch/batch";
import { useChoosing } from "../choosing";
import RateChart, { type Rate } from "./RateChart.vue";

/** How the variations did: a report is read, and what it does and does not show is said. */
const props = defineProps<{ id: string }>();
const choosing = useChoosing();
const router = useRouter();

const answer = shallowRef<ResultsAnswer>();
const table = shallowRef<Table>();
const notes = shallowRef<TableNote[]>([]);
const text = ref("");
const failure = ref("");
const shownColumn = ref("");
const actedColumn = ref("");
const FOUND = { value: "", label: "As found by its heading" };
const headings = computed(() => [
  FOUND,
  ...(table.value?.columns ?? []).map((value) => ({ value, label: value })),
]);
const isAsking = computed(() => !answer.value || table.value !== undefined);

onMounted(async () => {
  try {
    answer.value = await api.results(props.id);
  } catch (error) {
    if (!(error instanceof RequestError && error.code === "not-found")) say(error);
  }
});

const say = (error: unknown): void => {
  failure.value = (error as Error).message;
};

async function open(source: string | File | undefined): Promise<void> {
  if (!source) return;
  failure.value = "";
  try {
    const read =
      typeof source === "string" ? await api.tableText(source) : await api.tableFile(source);
    table.value = read.table;
    notes.value = read.notes;
    await join();
  } catch (error) {
    say(error);
  }
}

async function join(): Promise<void> {
  if (!table.value) return;
  failure.value = "";
  try {
    answer.value = await api.readResults(props.id, {
      table: table.value,
      ...(shownColumn.value ? { shown: shownColumn.value } : {}),
      ...(actedColumn.value ? { acted: actedColumn.value } : {}),
    });
    notes.value = [...notes.value, ...answer.value.notes];
    table.value = undefined;
    text.value = "";
  } catch (error) {
    say(error);
  }
}

async function remove(): Promise<void> {
  try {
    await api.removeResults(props.id);
    answer.value = undefined;
    notes.value = [];
  } catch (error) {
    say(error);
  }
}

/** The values that may be the best are mixed anew. */
async function begin(): Promise<void> {
  const piece = choosing.sheet?.batch.piece;
  if (!piece || !answer.value) return;
  useBatch().beginWith(piece, answer.value.next);
  await router.push({ name: "piece", params: { id: piece, step: "batch" } });
}

const variations = computed<Rate[]>(() =>
  (answer.value?.analysis.variations ?? []).map(({ variation, ...rate }) => ({
    ...rate,
    name: choosing.nameOf(variation),
    about: Object.values(choosing.all[variation]?.values ?? {}).join(", "),
  })),
);
const columns = computed(() =>
  (answer.value?.analysis.columns ?? []).map((effect) => ({
    ...effect,
    said: answer.value!.said.columns[effect.column] ?? [],
    rates: effect.values.map(({ value, variations: count, ...rate }): Rate => ({
      ...rate,
      name: value || "The piece's own",
      about: `${count} variations`,
    })),
  })),
);
/** The same scale for all charts, so that they can be compared. */
const most = computed(() => Math.max(...variations.value.map(({ high }) => high), 0));
const SHOWN = 24;
</script>

<template>
  <div class="results">
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <NoteList :notes="notes" />
    <section v-if="isAsking" class="ask" aria-label="Report">
      <NEmpty
        v-if="!table"
        description="How did they do? Paste or open a report with a row for each variation or file: its name, how often it was shown, how often it was acted on."
      />
      <TextField
        v-model="text"
        :rows="5"
        label="Paste a report"
        placeholder="name, impressions, clicks"
      />
      <div class="row-of-actions">
        <NButton type="primary" :disabled="!text.trim()" @click="open(text)">Read it</NButton>
        <FileButton label="Open a report" accept=".csv,.tsv,.txt,.xlsx" @open="open($event[0])"
          ><template #text
            ><FileSpreadsheet :size="16" aria-hidden="true" /> Open a file</template
          ></FileButton
        >
        <template v-if="table">
          <SelectField v-model="shownColumn" label="Column: shown" :options="headings" />
          <SelectField v-model="actedColumn" label="Column: acted on" :options="headings" />
          <NButton @click="join">Read again</NButton>
        </template>
      </div>
    </section>
    <template v-if="answer && !table">
      <section aria-label="Variations">
        <header>
          <h2 class="what">{{ answer.analysis.acted }}</h2>
          <span class="quiet number"
            >{{ answer.analysis.all.acted.toLocaleString("en") }} on
            {{ answer.analysis.all.shown.toLocaleString("en") }}
            {{ answer.analysis.shown.toLowerCase() }}, {{ percent(answer.analysis.all.rate) }}</span
          >
          <span class="space"></span>
          <NButton size="small" type="primary" @click="begin">Next batch from the best</NButton>
          <NButton size="small" @click="remove">Read another report</NButton>
        </header>
        <p v-for="sentence in answer.said.variations" :key="sentence">{{ sentence }}</p>
      </section>
      <section v-for="effect in columns" :key="effect.column" :aria-label="slotName(effect.column)">
        <h2>{{ slotName(effect.column) }}</h2>
        <RateChart :rates="effect.rates" :most="most" :label="slotName(effect.column)" wide />
        <p v-for="sentence in effect.said" :key="sentence">{{ sentence }}</p>
      </section>
      <section aria-label="Each variation">
        <h2>
          Each variation
          <span v-if="variations.length > SHOWN" class="quiet small"
            >the best {{ SHOWN }} of {{ variations.length }}</span
          >
        </h2>
        <RateChart :rates="variations.slice(0, SHOWN)" :most="most" label="Each variation" />
      </section>
      <p class="small quiet">
        The lines are 95 % intervals (Wilson). Differences are called clear when chance alone would
        make such a one in fewer than 5 of 100 reports, corrected for how many are compared (Holm).
      </p>
    </template>
  </div>
</template>

<style scoped>
.results {
  display: grid;
  gap: 24px;
  max-width: 980px;
  padding-top: 8px;
}

.ask {
  display: grid;
  gap: 12px;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}

.space {
  flex: 1;
}

.what::first-letter {
  text-transform: uppercase;
}

section {
  display: grid;
  gap: 8px;
}
</style>
