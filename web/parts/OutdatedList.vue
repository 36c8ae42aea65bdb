<script setup lang="ts">
import { shallowRef, watch } from "vue";
import type { Brand } from "../../core/brand";
import type { OutdatedList } from "../../core/api";
import { api } from "../api/client";

/** What was exported in a brand before it or the piece was changed. `piece` narrows it to one. */
const props = defineProps<{ brand: Brand; piece?: string }>();

const found = shallowRef<OutdatedList["outdated"]>([]);
watch(
  () => [props.brand, props.piece],
  async () => {
    const answer = await api.outdated(props.brand.id).catch(() => undefined);
    const all = answer?.outdated ?? [];
    found.value = props.piece ? all.filter(({ piece }) => piece === props.piece) : all;
  },
  { immediate: true },
);

const when = (created: string): string =>
  new Date(created).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" });
</script>

<template>
  <section v-if="found.length > 0" aria-label="Out of date">
    <h2>Out of date</h2>
    <ol>
      <li v-for="one in found" :key="one.id">
        <span class="quiet small number">{{ when(one.created) }}</span>
        <span>
          <RouterLink
            :to="{
              name: 'piece',
              params: { id: one.piece, step: one.kind === 'batch' ? 'batch' : 'deliver' },
            }"
            >{{ one.title }}</RouterLink>, {{ one.kind }}
        </span>
        <span class="quiet small">{{ one.why.join("; ") }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 4px;
}

ol {
  padding: 0;
  margin: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 148px 1fr 1fr;
  gap: 16px;
  align-items: center;
  min-height: 40px;
  border-top: 1px solid var(--line);
}
</style>
