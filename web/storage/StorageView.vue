<script setup lang="ts">
import { Download, RotateCcw, Trash2, Upload } from "@lucide/vue";
import { NAlert, NButton, NTable, NUpload, type UploadCustomRequestOptions } from "naive-ui";
import { computed, onMounted, ref, shallowRef } from "vue";
import type { BinKind, Binned, StorageAnswer, StorageKind } from "../../core/api";
import { api } from "../api/client";
import { counted } from "../common/counted";
import PageBar from "../common/PageBar.vue";
import { sizeOf } from "../common/size-of";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";

/** What takes room, what was deleted and can be brought back, and the backup of it all. */
const library = useLibrary();
const toasts = useToasts();
const storage = shallowRef<StorageAnswer>();
const busy = ref(false);

const KINDS: Record<BinKind, string> = {
  piece: "Piece",
  crate: "Crate",
  picture: "Picture",
  batch: "Batch",
  delivery: "Delivery",
  brand: "Brand kit",
  template: "Template",
};
const USES: Record<StorageKind, string> = {
  files: "Pictures and fonts",
  batches: "Batches",
  deliveries: "Deliveries",
  renditions: "Scaled copies for the screen",
  documents: "Pieces, kits and their history",
};
const total = computed(() => storage.value?.usage.reduce((sum, { bytes }) => sum + bytes, 0) ?? 0);
const unusedBytes = computed(
  () => storage.value?.unused.reduce((sum, { bytes }) => sum + bytes, 0) ?? 0,
);
const day = (value: string): string =>
  new Date(value).toLocaleDateString(undefined, { dateStyle: "medium" });

onMounted(() => {
  void act(() => Promise.resolve());
});

/** Does something, and shows how things are after it. */
async function act(work: () => Promise<unknown>): Promise<void> {
  busy.value = true;
  try {
    await work();
    storage.value = await api.storage();
    if (library.state === "ready") await library.load();
  } catch (error) {
    toasts.fail(error);
  } finally {
    busy.value = false;
  }
}

const bringBack = ({ kind, id }: Binned) => act(() => api.bringBack(kind, id));

async function deleteUnused(): Promise<void> {
  await act(async () => {
    for (const { id } of storage.value?.unused ?? []) await api.remove("picture", id);
  });
}

async function takeBackup({ file, onFinish }: UploadCustomRequestOptions): Promise<void> {
  await act(() => api.restoreBackup(file.file!));
  onFinish();
}
</script>

<template>
  <PageBar title="Storage" />
  <main v-if="storage" class="storage">
    <NAlert v-if="storage.restoring" type="info" :show-icon="false">
      <div class="waiting">
        <span>
          A backup is ready to take the place of what is here. Stop the program and start it again;
          what is here now is kept beside it.
        </span>
        <NButton size="small" :disabled="busy" @click="act(api.leaveBackup)"
          >Keep what is here</NButton
        >
      </div>
    </NAlert>
    <NAlert v-if="storage.aside.length" type="warning" :show-icon="false">
      {{ counted(storage.aside.length, "document") }} could not be read and
      {{ storage.aside.length === 1 ? "was" : "were" }} set aside, unchanged:
      {{ storage.aside.map(({ id, why }) => `“${id}” (${why})`).join(", ") }}. Everything else is
      there.
    </NAlert>
    <section aria-labelledby="room">
      <h2 id="room">On this disk</h2>
      <p class="quiet">{{ sizeOf(total) }} in all; {{ sizeOf(storage.free) }} are free.</p>
      <NTable :bordered="false" :single-line="true" size="small">
        <thead>
          <tr>
            <th>What</th>
            <th class="figure">Files</th>
            <th class="figure">Size</th>
            <th><span class="hidden-name">What can be done</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in storage.usage" :key="one.kind">
            <td>{{ USES[one.kind] }}</td>
            <td class="figure number">{{ one.count }}</td>
            <td class="figure number">{{ sizeOf(one.bytes) }}</td>
            <td class="act">
              <NButton
                v-if="one.kind === 'renditions' && one.bytes > 0"
                size="tiny"
                :disabled="busy"
                @click="act(api.clearRenditions)"
                >Clear</NButton
              >
              <NButton
                v-if="one.kind === 'files' && storage.unused.length"
                size="tiny"
                :disabled="busy"
                @click="deleteUnused"
                >Delete {{ counted(storage.unused.length, "picture") }} that nothing shows,
                {{ sizeOf(unusedBytes) }}</NButton
              >
            </td>
          </tr>
        </tbody>
      </NTable>
    </section>
    <section aria-labelledby="bin">
      <h2 id="bin">Bin</h2>
      <p class="quiet">What was deleted can be brought back for 30 days.</p>
      <p v-if="storage.bin.length === 0">The bin is empty.</p>
      <NTable v-else :bordered="false" size="small">
        <tbody>
          <tr v-for="one in storage.bin" :key="`${one.kind} ${one.id}`">
            <td class="kind quiet">
              <Trash2 :size="14" aria-hidden="true" /> {{ KINDS[one.kind] }}
            </td>
            <td>{{ one.name }}</td>
            <td class="quiet">until {{ day(one.until) }}</td>
            <td class="act">
              <NButton size="tiny" :disabled="busy" @click="bringBack(one)">
                <template #icon><RotateCcw aria-hidden="true" /></template>
                Restore
              </NButton>
            </td>
          </tr>
        </tbody>
      </NTable>
    </section>
    <section aria-labelledby="backup">
      <h2 id="backup">Backup</h2>
      <p class="quiet">
        One zip with every piece, kit, picture and finished file, as they are at this moment. A
        backup that you put back takes the place of all of this at the next start.
      </p>
      <div class="buttons">
        <NButton tag="a" href="/api/backup" download type="primary">
          <template #icon><Download aria-hidden="true" /></template>
          Download a backup
        </NButton>
        <NUpload
          accept=".zip"
          :show-file-list="false"
          :custom-request="takeBackup"
          :disabled="busy"
          class="upload"
        >
          <NButton :loading="busy">
            <template #icon><Upload aria-hidden="true" /></template>
            Put a backup back …
          </NButton>
        </NUpload>
      </div>
    </section>
  </main>
  <main v-else class="storage quiet">Looking at what is stored …</main>
</template>

<style scoped>
.storage {
  display: grid;
  gap: 40px;
  max-width: 860px;
  padding: 24px 24px 64px;
}

section {
  display: grid;
  gap: 8px;
}

.figure {
  width: 96px;
  text-align: right;
}

.act {
  text-align: right;
}

.kind {
  width: 120px;
}

.kind svg {
  vertical-align: -2px;
}

.buttons {
  display: flex;
  gap: 12px;
  padding-top: 4px;
}

.waiting {
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: space-between;
}

.upload {
  width: auto;
}
</style>
