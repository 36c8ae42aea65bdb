<script setup lang="ts">
import { NButton, NDropdown } from "naive-ui";
import { computed, ref, watch } from "vue";
import { useRouter } from "vue-router";
import { api } from "../api/client";
import { counted } from "../common/counted";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";
import { useSelection } from "./selection";

/** What can be done with all the pieces that are chosen. One that fails is said, and the others are done. */
const library = useLibrary();
const selection = useSelection();
const toasts = useToasts();
const router = useRouter();
const busy = ref(false);

watch(
  () => library.crates,
  (crates) => selection.keep(new Set(crates.flatMap(({ pieces }) => pieces.map(({ id }) => id)))),
);

const crates = computed(() => library.crates.map(({ id, name }) => ({ key: id, label: name })));

async function each(work: (id: string) => Promise<unknown>, told: string): Promise<void> {
  busy.value = true;
  let done = 0;
  for (const id of selection.chosen)
    await work(id).then(
      () => done++,
      (error: unknown) => toasts.fail(error),
    );
  await library.load();
  selection.clear();
  busy.value = false;
  if (done > 0) toasts.tell(`${counted(done, "piece")} ${told}.`);
}

const moveTo = (crate: string) =>
  each((id) => api.filePiece(id, { crate }), `moved to “${nameOf(crate)}”`);
/** The crate whose chosen pieces can be laid out as a set: the only one of which more than one is chosen. */
const together = computed(() => {
  const several = library.crates
    .map(({ id, pieces }) => ({ id, pieces: pieces.filter((piece) => selection.has(piece.id)) }))
    .filter(({ pieces }) => pieces.length > 0);
  const [only] = several;
  return several.length === 1 && only!.pieces.length > 1 ? only : undefined;
});
const models = computed(() =>
  (together.value?.pieces ?? [])
    .filter(({ kind }) => kind !== "carousel")
    .map(({ id, title }) => ({ key: id, label: `Like “${title}”` })),
);

async function laySet(like: string): Promise<void> {
  if (!together.value) return;
  busy.value = true;
  const { id, pieces } = together.value;
  try {
    const set = await api.laySet(id, { like, pieces: pieces.map((piece) => piece.id) });
    await library.load();
    selection.clear();
    const left = set.left.map(({ title }) => `“${title}”`).join(", ");
    toasts.tell(
      `${counted(set.pieces.length, "piece")} laid out as a set.${left ? ` ${left} stayed as it was: the slides of a carousel are a set of their own.` : ""}`,
    );
  } catch (error) {
    toasts.fail(error);
  } finally {
    busy.value = false;
  }
}

/** Each as a zip of all its sizes; they are made one after another, and stand on the page of their crate. */
async function deliver(): Promise<void> {
  const pieces = library.crates.flatMap((crate) => crate.pieces);
  const crate = library.crates.find(({ pieces: own }) => own.some(({ id }) => selection.has(id)));
  await each(async (id) => {
    const sizes = pieces.find((piece) => piece.id === id)?.sizes ?? [];
    await api.deliver(id, { sizes: sizes.map(({ placement }) => placement) });
  }, "on the way to a zip each");
  if (crate) await router.push({ name: "crate", params: { id: crate.id } });
}
const archive = () => each((id) => api.filePiece(id, { archived: true }), "archived");
const remove = () =>
  each((id) => api.remove("piece", id), "put in the bin, where they stay for 30 days");
const nameOf = (crate: string): string => library.crates.find(({ id }) => id === crate)?.name ?? "";
</script>

<template>
  <section v-if="selection.count > 0" class="bar" aria-label="Chosen pieces">
    <b class="number" role="status">{{ counted(selection.count, "piece") }} selected</b>
    <NDropdown trigger="click" :options="crates" @select="moveTo">
      <NButton :disabled="busy">Move to …</NButton>
    </NDropdown>
    <NDropdown
      v-if="together && models.length > 0"
      trigger="click"
      :options="models"
      @select="laySet"
    >
      <NButton :disabled="busy">Lay out as a set</NButton>
    </NDropdown>
    <NButton :disabled="busy" @click="deliver">Deliver</NButton>
    <NButton :disabled="busy" @click="archive">Archive</NButton>
    <NButton :disabled="busy" @click="remove">Delete</NButton>
    <NButton quaternary :disabled="busy" @click="selection.clear()">Clear selection</NButton>
  </section>
</template>

<style scoped>
.bar {
  position: fixed;
  bottom: 16px;
  left: 50%;
  z-index: 20;
  width: max-content;
  max-width: calc(100vw - 32px);
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 10px 16px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--card);
  box-shadow: 0 4px 16px var(--shade);
  translate: -50%;
}
</style>
