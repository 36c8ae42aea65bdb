<script setup lang="ts">
import { Trash2 } from "@lucide/vue";
import { NButton } from "naive-ui";

/** Puts something in the bin. `name` says what, for whoever does not see where it stands. */
defineProps<{ name: string; title?: string }>();
const emit = defineEmits<{ remove: [] }>();
</script>

<template>
  <NButton
    quaternary
    type="primary"
    size="small"
    :aria-label="`Delete ${name}`"
    :title="title ?? 'Delete it; it can be brought back for 30 days'"
    @click="emit('remove')"
  >
    <Trash2 :size="16" aria-hidden="true" />
  </NButton>
</template>
