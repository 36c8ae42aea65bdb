<script setup lang="ts">
import { NAlert, NButton } from "naive-ui";
import { computed } from "vue";
import { usePiece } from "./piece";

/** What could not be saved, and what can be done about it; what was written stays in sight. */
const open = usePiece();
const mine = computed(() => {
  const to = open.stuck?.edit.changes[0]?.to;
  return typeof to === "string" ? to : undefined;
});
const refused = computed(() => open.stuck?.why === "refused");
</script>

<template>
  <NAlert v-if="open.stuck" type="error" :bordered="false" :show-icon="false" class="unsaved">
    <p>{{ open.stuck.message }}</p>
    <p v-if="mine !== undefined" class="small mine">Yours: “{{ mine }}”</p>
    <div class="actions">
      <NButton size="small" @click="open.keepMine()">{{
        refused ? "Send it again" : "Keep mine"
      }}</NButton>
      <NButton size="small" @click="open.takeTheirs()">{{
        refused ? "Discard it" : "Use theirs"
      }}</NButton>
    </div>
  </NAlert>
  <NAlert
    v-else-if="open.saving === 'waiting'"
    type="warning"
    :bordered="false"
    :show-icon="false"
    class="unsaved"
  >
    <p>{{ open.waitsFor }} Your changes are kept in this browser meanwhile.</p>
    <div class="actions"><NButton size="small" @click="open.save()">Try now</NButton></div>
  </NAlert>
</template>

<style scoped>
.unsaved {
  border-bottom: 1px solid var(--line-strong);
  border-radius: 0;
}

.mine {
  overflow-wrap: anywhere;
}

.actions {
  display: flex;
  gap: 8px;
  margin-top: 8px;
}
</style>
