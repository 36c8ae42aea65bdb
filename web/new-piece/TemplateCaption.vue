<script setup lang="ts">
import { NButton } from "naive-ui";
import { Star } from "@lucide/vue";
import type { Template } from "../../core/templates";

/** What a template is called and for, and whether it is a favourite; those of the house are exported and deleted here. */
defineProps<{ template: Template; about: string; favourite: boolean; house: boolean }>();
const emit = defineEmits<{ favour: []; remove: [] }>();
</script>

<template>
  <p class="about">
    <span class="name">{{ template.name }}</span>
    <NButton
      text
      class="star"
      :aria-pressed="favourite"
      :aria-label="favourite ? `${template.name}: no favourite` : `${template.name}: favourite`"
      @click="emit('favour')"
      ><Star :size="14" :fill="favourite ? 'currentColor' : 'none'" aria-hidden="true"
    /></NButton>
  </p>
  <p v-if="house" class="house small">
    <span class="quiet">your template</span>
    <a :href="`/api/templates/${template.id}/file`" download>Export</a>
    <NButton text class="link" @click="emit('remove')">Delete</NButton>
  </p>
  <p v-else class="quiet small kinds">{{ about }}</p>
</template>

<style scoped>
.about {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  padding-top: 4px;
  font-size: 13px;
  font-weight: 600;
}

.name,
.kinds {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.star,
.link {
  padding: 2px;
  border: 0;
  background: none;
  color: var(--quiet);
  font: inherit;
  cursor: pointer;
}

.star[aria-pressed="true"] {
  color: var(--zest);
}

.house {
  display: flex;
  gap: 10px;
}

.link {
  padding: 0;
  color: var(--leaf);
  text-decoration: underline;
}
</style>
