<script setup lang="ts">
import { ref, watch } from "vue";
import { isText } from "../../core/piece";
import { LookName, moodOf, Purpose } from "../../core/templates";
import { api } from "../api/client";
import { usePiece } from "../stores/piece";
import { useToasts } from "../stores/toasts";
import DialogCard from "./DialogCard.vue";

/** Saves the open piece as a template of the house. The piece itself stays as it is. */
const shown = defineModel<boolean>("shown", { required: true });

const open = usePiece();
const toasts = useToasts();
const name = ref("");
const purpose = ref<Purpose>("announcement");
const look = ref<LookName>("photographic");
const note = ref("");
const fixed = ref<string[]>([]);
const failure = ref("");

watch(shown, (now) => {
  if (!now) return;
  name.value = open.piece?.title ?? "";
  fixed.value = [];
  failure.value = "";
});

async function save(): Promise<void> {
  const { piece, brand } = open;
  if (!piece || !brand) return;
  try {
    await open.save();
    const made = await api.addTemplate({
      piece: piece.id,
      name: name.value,
      purposes: [purpose.value],
      looks: [look.value],
      mood: moodOf(brand, piece.spread),
      fixed: fixed.value,
      ...(note.value ? { note: note.value } : {}),
    });
    toasts.tell(`“${made.name}” can be begun with from now on.`);
    shown.value = false;
  } catch (error) {
    failure.value = (error as Error).message;
  }
}
</script>

<template>
  <DialogCard v-model:shown="shown" title="Save as a template" :width="520">
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <form class="asking" @submit.prevent="save">
      <label>Name<input v-model="name" class="field" maxlength="80" required /></label>
      <label
        >What it is for
        <select v-model="purpose" class="field">
          <option v-for="one in Purpose.options" :key="one">{{ one }}</option>
        </select></label
      >
      <label
        >What it looks like
        <select v-model="look" class="field">
          <option v-for="one in LookName.options" :key="one">{{ one }}</option>
        </select></label
      >
      <label>Note for whoever uses it<input v-model="note" class="field" maxlength="500" /></label>
      <fieldset v-if="open.piece">
        <legend>Fixed, whatever the message is</legend>
        <template v-for="(filling, slot) in open.piece.message" :key="slot">
          <span v-if="isText(filling)" class="one">
            <input :id="`fix-${slot}`" v-model="fixed" type="checkbox" :value="slot" />
            <label :for="`fix-${slot}`">{{ filling.text || slot }}</label>
          </span>
        </template>
      </fieldset>
      <button class="button main" type="submit">Save the template</button>
    </form>
  </DialogCard>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 2px;
  padding: 0;
  border: 0;
}

.one {
  display: flex;
  gap: 8px;
}
</style>
