<script setup lang="ts">
import { useEventListener } from "@vueuse/core";
import { NPopover } from "naive-ui";
import { watch } from "vue";

/** The package's popover, which Escape closes too: it alone, and not what lies below; the focus goes back to its button. */
const shown = defineModel<boolean>("show", { required: true });

let opener: Element | null = null;
watch(shown, (isShown) => isShown && (opener = document.activeElement), { flush: "sync" });

function close(event: KeyboardEvent): void {
  const { key, target } = event;
  const isOfList = target instanceof Element && target.closest("[aria-expanded=true]") !== null;
  if (!shown.value || key !== "Escape" || isOfList) return;
  event.stopPropagation();
  shown.value = false;
  if (opener instanceof HTMLElement) opener.focus();
}
useEventListener(window, "keydown", close, { capture: true });
</script>

<template>
  <NPopover v-model:show="shown" trigger="click">
    <template #trigger><slot name="trigger"></slot></template>
    <slot></slot>
  </NPopover>
</template>
