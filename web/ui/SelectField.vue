<script setup lang="ts" generic="Value extends string | number">
import { NSelect } from "naive-ui";
import type { Option } from "./options";
import { useCombobox } from "./use-combobox";

/** One of a list. */
const props = defineProps<{
  /** What it chooses, for who cannot see what stands beside it. */
  label: string;
  options: readonly Option<Value>[];
  disabled?: boolean;
  placeholder?: string;
  size?: "small" | "medium";
}>();
const chosen = defineModel<Value>();
const show = defineModel<boolean>("show", { default: false });

const { menu, asOption } = useCombobox(
  () => props.label,
  show,
  (value) => value === chosen.value,
  () => [props.disabled, chosen.value],
);
</script>

<template>
  <NSelect
    ref="root"
    v-model:value="chosen as Value"
    v-model:show="show"
    :options="[...options]"
    :disabled="disabled ?? false"
    :placeholder="placeholder ?? ''"
    :size="size ?? 'medium'"
    :consistent-menu-width="false"
    :virtual-scroll="options.length > 100"
    :menu-props="menu()"
    :node-props="asOption"
  />
</template>
