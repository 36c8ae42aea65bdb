<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref, shallowRef, watch } from "vue";
import type { ListedCrate, RebrandAnswer } from "../../core/api";
import { api } from "../api/client";
import { useLibrary } from "../common/library";
import { counted } from "../common/counted";
import DialogCard from "../common/DialogCard.vue";
import SelectField from "../ui/SelectField.vue";
import { byName } from "../ui/options";

/** Gives all pieces of a crate another brand at once, and lists what to look at. */
const shown = defineModel<boolean>("shown", { required: true });
const props = defineProps<{ crate: ListedCrate }>();

const library = useLibrary();
const others = computed(() => library.brands.filter(({ id }) => id !== props.crate.brand));
const brand = ref("");
const failure = ref("");
const done = shallowRef<RebrandAnswer>();
watch(shown, (now) => {
  if (!now) return;
  brand.value = others.value[0]?.id ?? "";
  done.value = undefined;
  failure.value = "";
});

async function change(): Promise<void> {
  try {
    done.value = await api.rebrandCrate(props.crate.id, brand.value);
    await library.load();
  } catch (error) {
    failure.value = (error as Error).message;
  }
}
</script>

<template>
  <DialogCard v-model:shown="shown" title="Change the brand of the crate" :width="520">
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <template v-if="done">
      <p>{{ counted(done.pieces.length, "piece") }} changed. Each can be undone by itself.</p>
      <ul>
        <li v-for="piece in done.pieces" :key="piece.id">
          <RouterLink :to="{ name: 'piece', params: { id: piece.id, step: 'preflight' } }">{{
            piece.title
          }}</RouterLink>
          <span class="quiet small">
            {{ piece.notes.join("; ") || "Every colour and typeface has a match." }}
          </span>
        </li>
      </ul>
    </template>
    <form v-else class="asking" @submit.prevent="change">
      <label>
        New brand for “{{ crate.name }}” and its {{ counted(crate.pieces.length, "piece") }}
        <SelectField v-model="brand" label="Brand" :options="byName(others)" />
      </label>
      <NButton type="primary" attr-type="submit" :disabled="!brand">Change brand</NButton>
    </form>
  </DialogCard>
</template>

<style scoped>
p,
ul {
  margin: 0;
}

ul {
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
</style>
