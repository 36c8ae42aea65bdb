<script setup lang="ts">
import { NButton, NUpload } from "naive-ui";
import type { UploadFileInfo } from "naive-ui";

/** Opens files; what is chosen goes to whoever asked, and nothing is sent from here. */
defineProps<{
  label: string;
  accept: string;
  multiple?: boolean;
  disabled?: boolean;
  plain?: boolean;
  main?: boolean;
  size?: "tiny" | "small" | "medium";
}>();
const emit = defineEmits<{ open: [files: File[]] }>();

let waiting: File[] = [];

/** Several files of one choice come one by one, in the same turn of the event loop. */
function take({ file }: { file: UploadFileInfo }): void {
  if (!file.file) return;
  waiting.push(file.file);
  if (waiting.length > 1) return;
  setTimeout(() => {
    emit("open", waiting);
    waiting = [];
  });
}
</script>

<template>
  <NUpload
    class="files"
    :default-upload="false"
    :show-file-list="false"
    :file-list="[]"
    :accept="accept"
    :multiple="multiple ?? false"
    :disabled="disabled ?? false"
    :input-props="{ 'aria-label': label, tabindex: -1 } as object"
    @change="take"
  >
    <slot>
      <NButton
        :quaternary="plain ?? false"
        :type="main ? 'primary' : 'default'"
        :disabled="disabled ?? false"
        :size="size ?? 'medium'"
      >
        <slot name="text">{{ label }}</slot>
      </NButton>
    </slot>
  </NUpload>
</template>

<style scoped>
.files {
  display: inline-flex;
  width: auto;
}
</style>
