<script setup lang="ts">
import { when } from "./when";
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
</script>

<template>
  <section v-if="found.length > 0" aria-label="Out of date">
    <h2>Out of date</h2>
    <ol class="dated">
      <li v-for="one in found" :key="one.id">
        <span class="quiet small number">{{ when(one.created) }}</span>
        <span>
          <RouterLink
            :to="{
              name: 'piece',
              params: { id: one.piece, step: one.kind === 'batch' ? 'batch' : 'deliver' },
            }"
            >{{ one.title }}</RouterLink
          >, {{ one.kind }}
        </span>
        <span class="quiet small">{{ one.why.join("; ") }}</span>
      </li>
    </ol>
  </section>
</template>
