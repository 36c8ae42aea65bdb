<script setup lang="ts">
import { NModal } from "naive-ui";
import { ref, watch } from "vue";
import { api } from "../api/client";
import { useLibrary } from "../stores/library";
import { useToasts } from "../stores/toasts";

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
  <NModal v-model:show="shown">
    <form
      class="new-crate"
      role="dialog"
      aria-label="New crate"
      aria-modal="true"
      @submit.prevent="start"
    >
      <h2>New crate</h2>
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
      <p class="actions">
        <button class="button main" type="submit" :disabled="!name.trim()">Start it</button>
        <button class="button" type="button" @click="shown = false">Leave it</button>
      </p>
    </form>
  </NModal>
</template>

<style scoped>
.new-crate {
  display: grid;
  gap: 16px;
  width: 420px;
  padding: 24px;
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
}

label {
  display: grid;
  gap: 4px;
}

.actions {
  display: flex;
  gap: 8px;
}
</style>
