<script setup lang="ts">
import { NButton, NDropdown } from "naive-ui";
import { useLocalStorage } from "@vueuse/core";
import { computed, defineAsyncComponent, onBeforeUnmount, ref, watch } from "vue";
import { CRITERIA } from "../../core/choosing";
import { slotName } from "../../core/message";
import { useBatchNews } from "../common/batch-news";
import { counted } from "../common/counted";
import { useLibrary } from "../common/library";
import LibraryState from "../common/LibraryState.vue";
import OutdatedFiles from "../common/OutdatedFiles.vue";
import PageBar from "../common/PageBar.vue";
import ChoiceBar from "../ui/ChoiceBar.vue";
import SelectField from "../ui/SelectField.vue";
import SliderField from "../ui/SliderField.vue";
import { useChoosing, type Order, type Showing } from "./choosing";
import CompareDialog from "./CompareDialog.vue";
import DeliverKept from "./DeliverKept.vue";
import RepeatList from "./RepeatList.vue";
import SheetRows from "./SheetRows.vue";
import VariationPanel from "./VariationPanel.vue";
import WeightsPanel from "./WeightsPanel.vue";

const BatchResults = defineAsyncComponent(() => import("./results/BatchResults.vue"));

/** The variations of one batch: looked through, ranked, compared, decided on, and how they did. */
const props = defineProps<{ id: string }>();
const choosing = useChoosing();
const library = useLibrary();

const tab = ref<"sheet" | "results">("sheet");
const TABS = [
  { value: "sheet", label: "Contact sheet" },
  { value: "results", label: "Results" },
] as const;
const FILES = [
  { key: "pdf", label: "Contact sheet as a document (PDF)" },
  { key: "png", label: "Contact sheet as a picture (PNG)" },
];
function take(format: string): void {
  const { sheet, showing } = choosing;
  const query = new URLSearchParams({ format, shown: showing, placement: sheet?.placement ?? "" });
  window.location.assign(`/api/batches/${props.id}/sheet/file?${query}`);
}
const comparing = ref(false);
const zoom = useLocalStorage("choosing-zoom", 168);

watch(
  () => props.id,
  (id) => void choosing.open(id),
  { immediate: true },
);
onBeforeUnmount(() => choosing.close());
useBatchNews(
  () => choosing.sheet?.batch.piece,
  (now) => now.id === props.id && void choosing.moved(),
  // What is whole has not moved while nobody listened.
  () => choosing.isMoving && void choosing.moved(),
);

const piece = computed(() => {
  const id = choosing.sheet?.batch.piece;
  return library.crates
    .flatMap(({ pieces, archived }) => [...pieces, ...archived])
    .find((one) => one.id === id);
});
const placements = computed(() => choosing.sheet?.batch.placements ?? []);
const placed = computed(() =>
  library.placements.find(({ id }) => id === choosing.sheet?.placement),
);
const sizes = computed(() =>
  placements.value.map((id) => ({
    value: id,
    label: library.placements.find((one) => one.id === id)?.name ?? id,
  })),
);
/** The graphic of a tile: about equally large whatever its sides. */
const tile = computed(() => {
  const { width, height } = choosing.all.find(({ output }) => output)?.output ??
    placed.value ?? { width: 1, height: 1 };
  const side = Math.sqrt((zoom.value ** 2 * width) / height);
  const wide = Math.round(Math.min(side, 2.2 * zoom.value));
  return { width: wide, height: Math.round((wide * height) / width) };
});

const waiting = computed(() => {
  const { batch, measuring } = choosing.sheet ?? {};
  if (batch && batch.made < batch.files) return `${batch.made} of ${batch.files} files made`;
  return measuring ? `${counted(measuring, "graphic")} still to be measured` : "";
});
const showings = computed(() => {
  const { all, open, keep, maybe, drop } = choosing.counts;
  return [
    { value: "all", label: `All ${all}` },
    { value: "open", label: `Open ${open}` },
    { value: "keep", label: `Kept ${keep}` },
    { value: "maybe", label: `Maybe ${maybe}` },
    { value: "drop", label: `Dropped ${drop}` },
  ] as const satisfies { value: Showing; label: string }[];
});
const orders = computed<{ value: Order; label: string }[]>(() => [
  { value: "made", label: "As made" },
  ...(choosing.criteria.length > 0 ? [{ value: "weights" as const, label: "My weights" }] : []),
  ...choosing.criteria.map((value) => ({ value, label: CRITERIA[value].name })),
]);
const columns = computed(() => [
  { value: "", label: "Not grouped" },
  ...(choosing.sheet?.columns ?? []).map((value) => ({
    value,
    label: slotName(value),
  })),
]);
</script>

<template>
  <PageBar
    :title="piece ? `${piece.title}: ${counted(choosing.counts.all, 'variation')}` : 'Batch'"
  >
    <template #beside>
      <RouterLink v-if="piece" :to="{ name: 'piece', params: { id: piece.id, step: 'batch' } }"
        >Back to the piece</RouterLink
      >
    </template>
    <ChoiceBar v-model="tab" label="What is shown" :options="TABS" />
    <NDropdown v-if="choosing.sheet" trigger="click" :options="FILES" @select="take">
      <NButton title="What is shown here, on one page">Send round</NButton>
    </NDropdown>
    <DeliverKept v-if="choosing.sheet" />
  </PageBar>
  <main>
    <LibraryState what="the batch">
      <p v-if="choosing.failure" class="failure" role="alert">{{ choosing.failure }}</p>
      <template v-if="choosing.sheet">
        <BatchResults v-if="tab === 'results'" :id="id" :key="id" />
        <div v-else class="sheet">
          <div class="bar">
            <SelectField
              v-if="sizes.length > 1"
              class="choice"
              :model-value="choosing.sheet.placement"
              label="Size"
              :options="sizes"
              @update:model-value="choosing.open(id, $event)"
            />
            <SelectField v-model="choosing.order" class="choice" label="Order" :options="orders" />
            <SelectField
              v-model="choosing.groupBy"
              class="choice"
              label="Groups"
              :options="columns"
            />
            <ChoiceBar v-model="choosing.showing" label="Shown" :options="showings" />
            <SliderField
              v-model="zoom"
              class="zoom"
              label="Size of the graphics"
              :min="90"
              :max="360"
              :step="6"
            />
          </div>
          <div class="columns">
            <div class="graphics">
              <OutdatedFiles :batch="choosing.sheet.batch" @again="choosing.makeAgain()" />
              <p v-if="waiting" class="small quiet" role="status">{{ waiting }}</p>
              <p v-if="choosing.why" class="why" role="status">
                {{ choosing.why }}
                <span class="quiet"
                  >★ marks {{ counted(choosing.front.size, "front-runner") }}: no other is better in
                  everything.</span
                >
              </p>
              <RepeatList @compare="comparing = true" />
              <p v-if="choosing.shown.length === 0" class="quiet">None of them here.</p>
              <SheetRows
                v-for="group in choosing.groups"
                :key="`${group.title} ${tile.width} ${tile.height}`"
                :group="group"
                :width="tile.width"
                :height="tile.height"
              />
            </div>
            <aside class="side">
              <WeightsPanel v-if="choosing.order === 'weights'" />
              <VariationPanel v-if="choosing.selected" :variation="choosing.selected" />
              <p class="small quiet">
                K keep, M maybe, D drop, and on to the next. ← → walk. C holds one beside others. H
                shows where it is looked at.
              </p>
            </aside>
          </div>
          <div v-if="choosing.compared.length" class="held" role="region" aria-label="Held beside">
            <span class="number">{{ choosing.compared.map(choosing.nameOf).join(", ") }}</span>
            <NButton
              type="primary"
              :disabled="choosing.compared.length < 2"
              @click="comparing = true"
              >Compare {{ choosing.compared.length }}</NButton
            >
            <NButton quaternary @click="choosing.compared = []">Put back</NButton>
          </div>
          <CompareDialog v-model:shown="comparing" />
        </div>
      </template>
    </LibraryState>
  </main>
</template>

<style scoped>
main {
  padding: 0 24px 64px;
}

.bar {
  position: sticky;
  z-index: 3;
  top: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  padding: 10px 0;
  border-bottom: 1px solid var(--line);
  background: var(--paper);
}

.bar > .choice {
  width: 176px;
}

.zoom {
  width: 110px;
  padding-bottom: 8px;
  margin-left: auto;
}

.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 24px;
  align-items: start;
}

.graphics {
  display: grid;
  gap: 12px;
  padding-top: 16px;
}

.side {
  position: sticky;
  top: 56px;
  display: grid;
  gap: 18px;
  max-height: calc(100vh - 64px);
  padding: 16px 2px 16px 18px;
  overflow-y: auto;
  border-left: 1px solid var(--line);
}

.why {
  font-size: 14px;
}

.held {
  position: fixed;
  z-index: 4;
  bottom: 16px;
  left: 24px;
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 10px 14px;
  border: 1px solid var(--line-strong);
  background: var(--card);
  box-shadow: 0 6px 24px var(--shade);
}

@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }

  .side {
    position: static;
    max-height: none;
    border-left: 0;
  }
}
</style>
