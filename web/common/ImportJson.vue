<script setup lang="ts">
import FileButton from "../ui/FileButton.vue";

/** A button that reads a JSON file which was exported here. */
defineProps<{ label: string; what: string }>();
const emit = defineEmits<{ read: [document: unknown]; failed: [error: Error] }>();

async function take(file: File | undefined): Promise<void> {
  if (!file) return;
  try {
    emit("read", JSON.parse(await file.text()));
  } catch {
    const said = `${file.name} is not JSON. Nothing was changed; choose a file that was exported here.`;
    emit("failed", new Error(said));
  }
}
</script>

<template>
  <FileButton :label="what" accept=".json,application/json" @open="take($event[0])"
    ><template #text>{{ label }}</template></FileButton
  >
</template>
