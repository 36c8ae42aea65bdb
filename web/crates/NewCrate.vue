<script setup lang="ts">
import { NButton } from "naive-ui";
import { ref, watch } from "vue";
import { api } from "../api/client";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";
import DialogCard from "../common/DialogCard.vue";
import SelectField from "../ui/SelectField.vue";
import TextField from "../ui/TextField.vue";
import { byName } from "../ui/options";

/** Names a new crate and says whose it is. */
const shown = defineModel<boolean>("shown", { required: true });

const emit = defineEmits<{ made: [id: string] }>();

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
    const { id } = await api.addCrate(name.value.trim(), brand.value);
    await library.load();
    shown.value = false;
    emit("made", id);
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
        <TextField v-model="name" :maxlength="120" required />
      </label>
      <label>
        For which brand?
        <SelectField v-model="brand" label="For which brand?" :options="byName(library.brands)" />
      </label>
      <NButton type="primary" attr-type="submit" :disabled="!name.trim()">Create crate</NButton>
    </form>
  </DialogCard>
</template>
