<script setup lang="ts">
import { ref, watch } from "vue";
import { api } from "../api/client";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";
import DialogCard from "../common/DialogCard.vue";

/** Names a new crate and says whose it is. */
const shown = defineModel<boolean>("shown", { required: true });

const library = useLibrary();
const toasts = useToasts();
const name = ref("");
const brand = ref("");

watch(shown, (now) => {
  if (!now) return;
  name.value = "";
  brand.value = library.brands[0]?.id ?? "";
});

async function start(): Promise<void> {
  try {
    await api.addCrate(name.value.trim(), brand.value);
    await library.load();
    shown.value = false;
  } catch (error) {
    toasts.fail(error);
  }
}
</script>

<template>
  <DialogCard v-model:shown="shown" title="New crate" :width="420">
    <form class="asking" @submit.prevent="start">
      <label>
        What is the campaign called?
        <input v-model="name" class="field" maxlength="120" required />
      </label>
      <label>
        For which brand?
        <select v-model="brand" class="field">
          <option v-for="kit in library.brands" :key="kit.id" :value="kit.id">
            {{ kit.name }}
          </option>
        </select>
      </label>
      <button class="button main" type="submit" :disabled="!name.trim()">Start it</button>
    </form>
  </DialogCard>
</template>
