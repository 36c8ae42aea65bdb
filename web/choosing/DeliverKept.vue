<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import { useRouter } from "vue-router";
import type { ImageFormat } from "../../core/api";
import { checkPattern, DEFAULT_PATTERN } from "../../core/batch";
import { slotName } from "../../core/message";
import { api } from "../api/client";
import { counted } from "../common/counted";
import DialogCard from "../common/DialogCard.vue";
import { useToasts } from "../common/toasts";
import NumberField from "../ui/NumberField.vue";
import SelectField from "../ui/SelectField.vue";
import TextField from "../ui/TextField.vue";
import FileFields from "../workbench/deliver/FileFields.vue";
import { useChoosing } from "./choosing";

/** What was kept goes into a zip, in folders and with names that say what it is. */
const choosing = useChoosing();
const toasts = useToasts();
const router = useRouter();

const shown = ref(false);
const format = ref<ImageFormat>(choosing.sheet?.batch.format ?? "jpeg");
const scale = ref<1 | 2>(choosing.sheet?.batch.scale === 2 ? 2 : 1);
const folder = ref("");
const pattern = ref(DEFAULT_PATTERN);
const most = ref<number>();

const kept = computed(() =>
  choosing.all.filter(({ verdict }) => verdict === "keep").map(({ index }) => index),
);
const columns = computed(() => choosing.sheet?.columns ?? []);
const folders = computed(() => [
  { value: "", label: "No folders" },
  { value: "{placement}/", label: "By size" },
  { value: "{variation}/", label: "By variation" },
  ...columns.value.map((column) => ({
    value: `{${column}}/`,
    label: `By ${slotName(column).toLowerCase()}`,
  })),
]);
const whole = computed(() => `${folder.value}${pattern.value.trim() || DEFAULT_PATTERN}`);
const wrong = computed(() => {
  try {
    checkPattern(whole.value, columns.value);
    return undefined;
  } catch (error) {
    return (error as Error).message;
  }
});
const parts = computed(() =>
  ["variation", ...columns.value, "placement", "crate", "piece", "width", "height"]
    .map((part) => `{${part}}`)
    .join(", "),
);
const files = computed(() => kept.value.length * (choosing.sheet?.batch.placements.length ?? 0));
const isLimited = computed(() => format.value === "jpeg" || format.value === "webp");

async function make(): Promise<void> {
  const batch = choosing.sheet?.batch;
  if (!batch) return;
  try {
    await api.deliver(batch.piece, {
      batches: [{ id: batch.id, variations: kept.value }],
      format: format.value,
      scale: scale.value,
      pattern: whole.value,
      ...(isLimited.value && most.value ? { most: 1000 * most.value } : {}),
    });
    shown.value = false;
    await router.push({ name: "piece", params: { id: batch.piece, step: "deliver" } });
  } catch (error) {
    toasts.fail(error);
  }
}
</script>

<template>
  <NButton type="primary" :disabled="kept.length === 0" @click="shown = true"
    >Deliver {{ kept.length }} kept</NButton
  >
  <DialogCard v-model:shown="shown" title="Deliver what is kept" :width="460">
    <p class="quiet">
      {{ counted(kept.length, "variation") }} in
      {{ counted(choosing.sheet?.batch.placements.length ?? 0, "size") }}:
      {{ counted(files, "file") }}, with a manifest as JSON and CSV.
    </p>
    <FileFields v-model:format="format" v-model:scale="scale" />
    <div class="row">
      <span>Folders</span>
      <SelectField v-model="folder" label="Folders" :options="folders" />
    </div>
    <div class="row">
      <span>Names</span>
      <TextField v-model="pattern" label="Pattern of the names" :error="wrong" />
    </div>
    <p class="small quiet">Parts in braces are filled in: {{ parts }}.</p>
    <div v-if="isLimited" class="row">
      <span>At most, kB a file</span>
      <NumberField v-model="most" label="At most, kB a file" :min="10" />
    </div>
    <NButton type="primary" :disabled="wrong !== undefined" @click="make"
      >Make a zip of {{ counted(files, "file") }}</NButton
    >
  </DialogCard>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: 12px;
  align-items: center;
}
</style>
