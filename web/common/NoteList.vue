<script setup lang="ts">
import type { TableNote } from "../../core/batch";

/** What a person should know of a table that was read: the first of it, and how much more there is. */
defineProps<{ notes: readonly TableNote[] }>();
const SHOWN = 5;
</script>

<template>
  <ul v-if="notes.length > 0" class="notes">
    <li v-for="(note, index) in notes.slice(0, SHOWN)" :key="index">{{ note.text }}</li>
    <li v-if="notes.length > SHOWN" class="quiet">
      and {{ notes.length - SHOWN }} more like these
    </li>
  </ul>
</template>

<style scoped>
.notes {
  padding: 10px 14px 10px 30px;
  margin: 0;
  border-left: 3px solid var(--lemon);
  background: var(--lemon-tint);
  font-size: 13px;
}
</style>
