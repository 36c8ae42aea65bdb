<script setup lang="ts">
import { NButton } from "naive-ui";
import { useTemplateRef } from "vue";

/**
 * Opens files; what is chosen goes to whoever asked, and nothing is sent from here. The package's upload would bring a
 * list, thumbnails and a tenth of what the first page weighs, and gives several files one by one.
 */
defineProps<{
  label: string;
  accept: string;
  multiple?: boolean;
  /** All that lies in a folder and below it. */
  folder?: boolean;
  disabled?: boolean;
  plain?: boolean;
  main?: boolean;
  size?: "tiny" | "small" | "medium";
}>();
const emit = defineEmits<{ open: [files: File[]] }>();
const input = useTemplateRef("input");

/** The same file can be chosen again afterwards. */
function take(): void {
  const files = [...(input.value?.files ?? [])];
  if (files.length > 0) emit("open", files);
  if (input.value) input.value.value = "";
}
</script>

<template>
  <span class="files">
    <NButton
      :quaternary="plain ?? false"
      :type="main ? 'primary' : 'default'"
      :disabled="disabled ?? false"
      :size="size ?? 'medium'"
      @click="input?.click()"
    >
      <slot name="text">{{ label }}</slot>
    </NButton>
    <input
      ref="input"
      class="hidden-name"
      type="file"
      tabindex="-1"
      :aria-label="label"
      :accept="accept"
      :multiple="multiple ?? false"
      :webkitdirectory="folder ?? false"
      @change="take"
    />
  </span>
</template>

<style scoped>
.files {
  position: relative;
  display: inline-flex;
}
</style>
