<script setup lang="ts">
import type { BrandVersion } from "../../core/api";

/** What a kit has been, newest first; each but the newest can be brought back. */
defineProps<{ versions: BrandVersion[] }>();
const emit = defineEmits<{ restore: [version: BrandVersion] }>();

const when = (created: string): string =>
  new Date(created).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" });
</script>

<template>
  <section v-if="versions.length > 1" aria-label="Versions">
    <h2>Versions</h2>
    <ol>
      <li v-for="(version, index) in versions" :key="version.number">
        <span class="quiet small number">{{ when(version.created) }}</span>
        <span>{{ version.changes.join("; ") || "As it came in" }}</span>
        <span v-if="index === 0" class="quiet small">now</span>
        <button v-else class="button plain" @click="emit('restore', version)">Bring back</button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 4px;
}

ol {
  padding: 0;
  margin: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 148px 1fr auto;
  gap: 16px;
  align-items: center;
  min-height: 40px;
  border-top: 1px solid var(--line);
}
</style>
