<script setup lang="ts">
import { NButton } from "naive-ui";
import { onMounted } from "vue";
import { useLibrary } from "./library";

/** What a page shows once crates, kits, placements and pictures are there; until then, or where they cannot be had, that. */
defineProps<{ what: string }>();
const library = useLibrary();
onMounted(() => {
  if (library.state !== "ready") void library.load();
});
</script>

<template>
  <p v-if="library.state === 'loading'" class="quiet">Opening {{ what }} …</p>
  <div v-else-if="library.state === 'failed'" class="state">
    <p role="alert" class="failure">{{ library.failure }}</p>
    <NButton @click="library.load()">Try again</NButton>
  </div>
  <slot v-else />
</template>

<style scoped>
.state {
  display: grid;
  gap: 12px;
  justify-items: start;
}
</style>
