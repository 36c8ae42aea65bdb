<script setup lang="ts">
import { NButton, NEmpty } from "naive-ui";
import { Plus, Upload } from "@lucide/vue";
import { useElementSize, useLocalStorage } from "@vueuse/core";
import { computed, nextTick, onMounted, ref, shallowRef, useTemplateRef, watch } from "vue";
import { useRouter } from "vue-router";
import type { ImportAnswer, ListedCrate } from "../../core/api";
import { api } from "../api/client";
import { counted } from "../common/counted";
import { useNear } from "../common/use-near";
import { heightOfShelf } from "./card";
import CrateShelf from "./CrateShelf.vue";
import SelectionBar from "./SelectionBar.vue";
import FirstSteps from "./FirstSteps.vue";
import { useFirstStep } from "./first-steps";
import NewCrate from "./NewCrate.vue";
import { useTemplatesAhead } from "../new-piece/use-templates-ahead";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";
import PageBar from "../common/PageBar.vue";
import LinkButton from "../ui/LinkButton.vue";
import SelectField from "../ui/SelectField.vue";
import FileButton from "../ui/FileButton.vue";
import TextField from "../ui/TextField.vue";
import { byName } from "../ui/options";
import LibraryState from "../common/LibraryState.vue";

const library = useLibrary();
const toasts = useToasts();
const router = useRouter();
const find = ref("");
const brand = useLocalStorage("crates-of", "");
const order = useLocalStorage<"work" | "name">("crates-by", "work");
const busy = ref(false);
const newShown = ref(false);

// What others have changed meanwhile is asked for each time; what is there is shown at once.
onMounted(() => {
  if (library.state === "ready") void library.load();
});
useTemplatesAhead();
const { step, lookRound } = useFirstStep();

const brands = computed(() => [{ value: "", label: "Every brand" }, ...byName(library.brands)]);
const ORDERS = [
  { value: "work", label: "Last worked on" },
  { value: "name", label: "By name" },
] as const;
/** When something in a crate was last changed; a new one stands in front. */
const lastWork = ({ pieces }: ListedCrate): string =>
  pieces.reduce((last, { changed }) => (changed > last ? changed : last), pieces.length ? "" : "~");

/** A brand that is gone since it was chosen shows them all. */
const mine = computed(() =>
  library.brandById.has(brand.value)
    ? library.crates.filter((crate) => crate.brand === brand.value)
    : library.crates,
);
const ordered = computed(() =>
  [...mine.value].sort((a, b) =>
    order.value === "name" ? a.name.localeCompare(b.name) : lastWork(b).localeCompare(lastWork(a)),
  ),
);
const shown = computed(() => {
  const wanted = find.value.trim().toLowerCase();
  if (!wanted) return ordered.value;
  return ordered.value
    .map((crate) => ({
      ...crate,
      pieces: crate.name.toLowerCase().includes(wanted)
        ? crate.pieces
        : crate.pieces.filter((piece) => piece.title.toLowerCase().includes(wanted)),
    }))
    .filter((crate) => crate.pieces.length > 0);
});

const standing = computed(() => shown.value.flatMap(({ pieces }) => pieces.map(({ id }) => id)));

/** A new crate is begun with at once, wherever it stands in the list. */
const goTo = (id: string): void =>
  void nextTick(() => document.getElementById(id)?.scrollIntoView({ block: "center" }));

/** A crate that was near once stays, so that nothing moves when one scrolls back. */
const { near, vNear } = useNear(800);
const met = shallowRef<ReadonlySet<string>>(new Set());
watch(near, (now) => (met.value = new Set([...met.value, ...now])));
const { width } = useElementSize(useTemplateRef("page"));
const shelfHeight = ({ pieces }: ListedCrate, within: number): number =>
  heightOfShelf(pieces, within, library.placementOf);

const archived = computed(() =>
  library.crates.reduce((sum, crate) => sum + crate.archived.length, 0),
);

async function importFile(file: File | undefined): Promise<void> {
  if (!file) return;
  busy.value = true;
  try {
    const added = await api.importZip(file);
    await library.load();
    toasts.tell(`Imported ${inWords(added)}.`);
  } catch (error) {
    toasts.fail(error);
  } finally {
    busy.value = false;
  }
}

/** What came in; a file may hold a kit alone, or pictures. */
function inWords({ crates, pieces, brands, files }: ImportAnswer): string {
  const parts = [
    [crates.length, "crate"],
    [pieces.length, "piece"],
    [brands.length, "brand kit"],
    [files, "file"],
  ] as const;
  const came = parts.flatMap(([count, what]) => (count > 0 ? [counted(count, what)] : []));
  return came.length > 0 ? came.join(", ") : "nothing: the file holds nothing of ours";
}

async function startPiece(crate: string, from: string): Promise<void> {
  try {
    const { piece } = await api.beginPiece(crate, { from });
    await router.push({ name: "piece", params: { id: piece.id, step: "message" } });
  } catch (error) {
    toasts.fail(error);
  }
}
</script>

<template>
  <PageBar title="Crates">
    <template #beside>
      <TextField
        v-model="find"
        class="find"
        label="Find a crate or piece"
        placeholder="Filter by name"
        clearable
      />
      <SelectField v-model="brand" class="brand" label="Brand" :options="brands" />
      <SelectField v-model="order" class="order" label="Order" :options="ORDERS" />
    </template>
    <LinkButton v-if="archived > 0" plain :to="{ name: 'archive' }">
      Archive <span class="number">{{ archived }}</span>
    </LinkButton>
    <FileButton
      label="Import a crate"
      accept=".zip,.zestkit"
      :disabled="busy"
      @open="importFile($event[0])"
    >
      <template #text>
        <Upload :size="16" aria-hidden="true" /> {{ busy ? "Importing …" : "Import" }}
      </template>
    </FileButton>
    <NButton type="primary" :disabled="library.brands.length === 0" @click="newShown = true">
      <Plus :size="16" aria-hidden="true" /> New crate
    </NButton>
  </PageBar>
  <main ref="page">
    <LibraryState what="the crates">
      <FirstSteps
        v-if="step"
        :step="step"
        :has-demo="library.demoBrands.size > 0"
        @look-round="lookRound"
      />
      <NEmpty v-if="library.crates.length === 0 && !step" description="No crates yet.">
        <template #extra>
          <NButton type="primary" @click="newShown = true">New crate</NButton>
        </template>
      </NEmpty>
      <p v-else-if="shown.length === 0 && library.crates.length > 0" class="note quiet">
        {{ find.trim() ? `Nothing is called “${find}”.` : "This brand has no crate yet." }}
        <NButton quaternary @click="((find = ''), (brand = ''))">Show all</NButton>
      </p>
      <template v-else>
        <div
          v-for="crate in shown"
          :id="crate.id"
          :key="crate.id"
          v-near="crate.id"
          :style="{ minHeight: `${met.has(crate.id) ? 0 : shelfHeight(crate, width)}px` }"
        >
          <CrateShelf
            v-if="met.has(crate.id)"
            :crate="crate"
            :order="standing"
            @start="startPiece"
          />
        </div>
      </template>
    </LibraryState>
    <SelectionBar />
    <NewCrate v-model:shown="newShown" @made="goTo" />
  </main>
</template>

<style scoped>
.find {
  width: 240px;
}

.brand {
  width: 200px;
}

.order {
  width: 168px;
}

main {
  padding: 0 24px 64px;
}

.note {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 32px 0;
}
</style>
