<script setup lang="ts">
import { NSelect } from "naive-ui";
import { computed, ref } from "vue";
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
/** So many are all there at once, so that a screen reader can count them. */
const AT_ONCE = 100;
const count = computed(() =>
  props.options.reduce((sum, one) => sum + ("children" in one ? one.children.length : 1), 0),
);
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
    :virtual-scroll="count > AT_ONCE"
    :placeholder="placeholder"
    :input-props="{ 'aria-label': label }"
    :menu-props="menu()"
    :node-props="asOption"
  />
</template>
