<script setup lang="ts">
import { NButton, NTag } from "naive-ui";
import { computed, ref } from "vue";
import type { Condition } from "../../../core/batch";
import ManyField from "../../ui/ManyField.vue";
import type { BatchColumn } from "./varying";

/** Mixes that are left out: values of different columns that never stand together. */
const props = defineProps<{ columns: readonly BatchColumn[] }>();
const never = defineModel<Condition[]>({ required: true });

const picked = ref<string[]>([]);
const SEPARATOR = "\u0000";
const options = computed(() =>
  props.columns.map(({ name, label, values }) => ({
    type: "group" as const,
    key: name,
    label,
    children: values.map((value) => ({
      value: [name, value.key].join(SEPARATOR),
      label: value.label,
    })),
  })),
);

/** One value for each column: the last that was picked. */
function add(): void {
  const pairs = picked.value.map((one) => one.split(SEPARATOR) as [string, string]);
  never.value = [...never.value, Object.fromEntries(pairs)];
  picked.value = [];
}

function say(condition: Condition): string {
  return Object.entries(condition)
    .map(([name, key]) => {
      const values = props.columns.find((column) => column.name === name)?.values ?? [];
      return values.find((value) => value.key === key)?.label ?? key;
    })
    .join(" with ");
}
</script>

<template>
  <ul v-if="never.length" class="never">
    <li v-for="(condition, index) in never" :key="index">
      <NTag closable @close="never = never.toSpliced(index, 1)">{{ say(condition) }}</NTag>
    </li>
  </ul>
  <div class="add">
    <ManyField
      v-model="picked"
      label="Values that never stand together"
      placeholder="Two values or more"
      :options="options"
    />
    <NButton size="small" :disabled="picked.length < 2" @click="add">Leave out</NButton>
  </div>
</template>

<style scoped>
.never {
  display: grid;
  gap: 4px;
  padding: 0;
  margin: 0 0 6px;
  list-style: none;
}

.never :deep(.n-tag) {
  max-width: 100%;
}

.never :deep(.n-tag__content) {
  overflow: hidden;
  text-overflow: ellipsis;
}

.add {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 6px;
}
</style>
