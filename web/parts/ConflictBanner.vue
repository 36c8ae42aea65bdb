<script setup lang="ts">
import { computed } from "vue";
import { usePiece } from "../stores/piece";

const open = usePiece();
const mine = computed(() => {
  const edit = open.conflict?.edit;
  return edit && typeof edit.to === "string" ? edit.to : undefined;
});
</script>

<template>
  <section v-if="open.conflict" class="conflict" role="alert">
    <p>{{ open.conflict.message }}</p>
    <p v-if="mine !== undefined" class="small">Yours: “{{ mine }}”</p>
    <div class="actions">
      <button class="button" @click="open.keepMine()">Keep mine</button>
      <button class="button" @click="open.takeTheirs()">Take the other</button>
    </div>
  </section>
</template>

<style scoped>
.conflict {
  display: grid;
  gap: 8px;
  padding: 12px 22px;
  border-bottom: 1px solid var(--berry);
  background: var(--berry-tint);
}

.actions {
  display: flex;
  gap: 8px;
}
</style>
