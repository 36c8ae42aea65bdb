<script setup lang="ts">
import BatchResult from "./BatchResult.vue";
import BatchSetup from "./BatchSetup.vue";
import InLedger from "../InLedger.vue";
import TableField from "./TableField.vue";
import { useBatch } from "./batch";
import { useMadeBatches } from "./made";
import { useBatches } from "./use-batches";

/** A table becomes variations; they appear as they are made, and stay. */
const batch = useBatch();
const made = useMadeBatches();
useBatches();
</script>

<template>
  <div class="batch">
    <h2>Batch</h2>
    <TableField />
    <InLedger><BatchSetup /></InLedger>
    <p v-if="batch.failure" class="failure" role="alert">{{ batch.failure }}</p>
    <section v-if="made.batches.length" class="results" aria-label="Batches">
      <BatchResult
        v-for="one in made.batches"
        :key="one.id"
        :batch="one"
        @turn="made.turn(one.id, $event)"
        @remove="made.remove(one.id)"
      />
    </section>
  </div>
</template>

<style scoped>
.batch {
  display: grid;
  gap: 20px;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  padding: 20px 22px 48px;
}

.results {
  display: grid;
  gap: 28px;
}
</style>
