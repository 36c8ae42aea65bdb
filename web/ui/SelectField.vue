<script setup lang="ts" generic="Value extends string | number">
import { NSelect } from "naive-ui";
import { nextTick, onMounted, useId, useTemplateRef, watch } from "vue";
import type { Option } from "./options";

/**
 * One of a list. The package's select has no name, role or state that a screen reader could tell, so they are given to it
 * here (WAI-ARIA 1.2, select-only combobox).
 */
const props = defineProps<{
  /** What it chooses, for who cannot see what stands beside it. */
  label: string;
  options: readonly Option<Value>[];
  disabled?: boolean;
  placeholder?: string;
  size?: "small" | "medium";
}>();
const chosen = defineModel<Value>();

const list = useId();
const root = useTemplateRef("root");
const show = defineModel<boolean>("show", { default: false });

/** The part of the package's select that takes the keyboard. */
function combobox(): HTMLElement | null | undefined {
  return (root.value?.$el as HTMLElement | undefined)?.querySelector<HTMLElement>("[tabindex]");
}

function tell(): void {
  const box = combobox();
  box?.setAttribute("role", "combobox");
  box?.setAttribute("aria-label", props.label);
  box?.setAttribute("aria-haspopup", "listbox");
  box?.setAttribute("aria-controls", list);
  box?.setAttribute("aria-expanded", String(show.value));
}

onMounted(tell);
watch([() => props.label, () => props.disabled, show, chosen], () => void nextTick(tell));

const asOption = (option: { value?: string | number }) => ({
  role: "option",
  "aria-selected": option.value === chosen.value,
});
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
    :menu-props="{ id: list, role: 'listbox', 'aria-label': label } as object"
    :node-props="asOption as never"
  />
</template>
