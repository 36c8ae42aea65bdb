<script setup lang="ts">
import { NAlert } from "naive-ui";
import { usePiece } from "./piece";

/** Of a variation that was opened to be changed by hand: where it belongs, and what becomes of the changes. */
const open = usePiece();
</script>

<template>
  <NAlert v-if="open.variation" :bordered="false" :show-icon="false" class="variation">
    Variation {{ open.variation.name }} of a batch: what is changed here holds when the batch is
    made again.
    <RouterLink :to="{ name: 'batch', params: { id: open.variation.batch } }">
      To its contact sheet
    </RouterLink>
  </NAlert>
</template>

<style scoped>
.variation {
  border-bottom: 1px solid var(--line);
  border-radius: 0;
}
</style>
