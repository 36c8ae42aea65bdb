<script setup lang="ts">
import { NButton } from "naive-ui";
import { Plus, Upload } from "@lucide/vue";
import { useEventListener } from "@vueuse/core";
import { computed, onMounted, ref, useTemplateRef } from "vue";
import { useRouter } from "vue-router";
import type { ImportAnswer } from "../../core/api";
import { api } from "../api/client";
import BrandMark from "../common/BrandMark.vue";
import { counted } from "../common/counted";
import CrateShelf from "./CrateShelf.vue";
import NewCrate from "./NewCrate.vue";
import { useTemplatesAhead } from "../new-piece/use-templates-ahead";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";
import LinkButton from "../ui/LinkButton.vue";
import FileButton from "../ui/FileButton.vue";
import TextField from "../ui/TextField.vue";

const library = useLibrary();
const toasts = useToasts();
const router = useRouter();
const find = ref("");
const finder = useTemplateRef("finder");
const busy = ref(false);
const newShown = ref(false);

onMounted(() => void library.load());
useTemplatesAhead();

const shown = computed(() => {
  const wanted = find.value.trim().toLowerCase();
  if (!wanted) return library.crates;
  return library.crates
    .map((crate) => ({
      ...crate,
      pieces: crate.name.toLowerCase().includes(wanted)
        ? crate.pieces
        : crate.pieces.filter((piece) => piece.title.toLowerCase().includes(wanted)),
    }))
    .filter((crate) => crate.pieces.length > 0);
});

useEventListener("keydown", (event: KeyboardEvent) => {
  const typing = event.target instanceof HTMLElement && event.target.matches("input, textarea");
  if (event.key !== "/" || typing) return;
  event.preventDefault();
  finder.value?.focus();
});

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
  <header class="bar">
    <BrandMark :size="20" />
    <h1>Crates</h1>
    <TextField
      ref="finder"
      v-model="find"
      class="find"
      label="Find a crate or piece"
      placeholder="Find a crate or piece  ( / )"
      clearable
    />
    <span class="space"></span>
    <FileButton
      label="Import a crate"
      accept=".zip,.zestkit"
      :disabled="busy"
      @open="importFile($event[0])"
      ><template #text
        ><Upload :size="16" aria-hidden="true" /> {{ busy ? "Importing …" : "Import" }}</template
      ></FileButton
    >
    <LinkButton :to="{ name: 'templates' }">Templates</LinkButton>
    <LinkButton :to="{ name: 'placements' }">Placements</LinkButton>
    <LinkButton :to="{ name: 'storage' }">Storage</LinkButton>
    <LinkButton :to="{ name: 'new-brand' }">
      <Plus :size="16" aria-hidden="true" /> New brand kit
    </LinkButton>
    <NButton :disabled="library.brands.length === 0" @click="newShown = true">
      <Plus :size="16" aria-hidden="true" /> New crate
    </NButton>
  </header>
  <main>
    <p v-if="library.state === 'loading'" class="note quiet">Opening the crates …</p>
    <div v-else-if="library.state === 'failed'" class="note">
      <h2>The crates cannot be opened</h2>
      <p>{{ library.failure }}</p>
      <NButton @click="library.load()">Try again</NButton>
    </div>
    <p v-else-if="library.crates.length === 0" class="note quiet">
      No crates yet. Import one, or start a new one.
    </p>
    <p v-else-if="shown.length === 0" class="note quiet">
      Nothing is called “{{ find }}”.
      <NButton quaternary @click="find = ''">Show all</NButton>
    </p>
    <template v-else>
      <CrateShelf v-for="crate in shown" :key="crate.id" :crate="crate" @start="startPiece" />
    </template>
    <NewCrate v-model:shown="newShown" />
  </main>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 16px;
  height: 48px;
  padding: 0 16px;
  border-bottom: 1px solid var(--line);
}

h1 {
  font-size: 16px;
}

.find {
  width: 280px;
}

.space {
  flex: 1;
}

main {
  padding: 24px 24px 64px;
}

.note {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 32px 0;
}
</style>
