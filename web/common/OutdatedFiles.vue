<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed } from "vue";
import type { BatchAnswer } from "../../core/api";

/** Files of a batch that would come out otherwise now; they are made again in their places. */
const props = defineProps<{ batch: BatchAnswer }>();
defineEmits<{ again: [] }>();

const said = computed(() => {
  const { outdated, files } = props.batch;
  if (outdated < files)
    return `${outdated} of ${files} files would look different now: something was changed since they were made.`;
  return "The piece or its brand kit was changed since these were made.";
});
</script>

<template>
  <p v-if="batch.outdated > 0" class="outdated small">
    {{ said }}
    <NButton size="small" @click="$emit('again')">
      {{ batch.outdated < batch.files ? `Make ${batch.outdated} again` : "Make all again" }}
    </NButton>
  </p>
</template>

<style scoped>
.outdated {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 8px 12px;
  background: var(--lemon-tint);
}
</style>
