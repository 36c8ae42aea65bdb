<script setup lang="ts">
import { computed } from "vue";
import { LIMITS } from "../../core/piece";
import { usePiece } from "./piece";

/** The piece's name, renamed where it stands. An empty name is put back. */
const open = usePiece();
const title = computed(() => open.piece?.title ?? "");

function rename(event: Event): void {
  const input = event.target as HTMLInputElement;
  const to = input.value.trim();
  if (!to) input.value = title.value;
  else if (to !== title.value) open.set(["title"], to);
}
</script>

<template>
  <input
    class="title"
    :value="title"
    :maxlength="LIMITS.title"
    aria-label="Name of the piece"
    spellcheck="false"
    @change="rename"
    @keydown.enter="($event.target as HTMLInputElement).blur()"
  />
</template>

<style scoped>
.title {
  flex: 1;
  min-width: 0;
  max-width: 320px;
  padding: 3px 6px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: none;
  color: var(--ink);
  font: 650 15px/1.3 var(--text);
  text-overflow: ellipsis;
}

.title:hover {
  border-color: var(--line-strong);
}
</style>
