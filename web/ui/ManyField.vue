<script setup lang="ts">
import { NSelect } from "naive-ui";
import { ref } from "vue";
import type { Option } from "./options";
import { useCombobox } from "./use-combobox";

/** Several of a list, found by typing. */
const props = defineProps<{
  /** What it chooses, for who cannot see what stands beside it. */
  label: string;
  options: readonly (Option | { type: "group"; key: string; label: string; children: Option[] })[];
  placeholder: string;
}>();
const chosen = defineModel<string[]>({ required: true });

const show = ref(false);
const { menu, asOption } = useCombobox(
  () => props.label,
  show,
  (value) => chosen.value.includes(String(value)),
  () => chosen.value,
);
</script>

<template>
  <NSelect
    ref="root"
    v-model:value="chosen"
    v-model:show="show"
    multiple
    filterable
    size="small"
    :options="[...options]"
    :placeholder="placeholder"
    :input-props="{ 'aria-label': label }"
    :menu-props="menu()"
    :node-props="asOption"
  />
</template>
