<script setup lang="ts">
import { useTemplateRef } from "vue";

/** A button that reads a JSON file which was exported here. */
defineProps<{ label: string; what: string }>();
const emit = defineEmits<{ read: [document: unknown]; failed: [error: Error] }>();
const chooser = useTemplateRef("chooser");

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
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
  <button class="button" @click="chooser?.click()">{{ label }}</button>
  <input
    ref="chooser"
    type="file"
    accept=".json,application/json"
    class="hidden-name"
    :aria-label="what"
    tabindex="-1"
    @change="take"
  />
</template>
