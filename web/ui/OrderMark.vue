<script setup lang="ts">
/** Which of several that were chosen it is, counted from 0; in the corner of what it belongs to, or in a line with it. */
defineProps<{ at: number; corner?: boolean }>();
</script>

<template>
  <span class="number mark" :class="{ corner }">{{ at + 1 }}</span>
</template>

<style scoped>
.mark {
  min-width: 18px;
  padding: 0 5px;
  border-radius: 9px;
  background: var(--zest);
  color: var(--on-zest);
  font: 700 12px/1.5 var(--text);
}

.corner {
  position: absolute;
  top: 2px;
  left: 2px;
}
</style>
