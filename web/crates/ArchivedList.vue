<script setup lang="ts">
import { NButton } from "naive-ui";
import type { ListedPiece } from "../../core/api";
import { api } from "../api/client";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";
import { when } from "../common/when";

/** Pieces that were archived: each can be brought back or put in the bin. */
defineProps<{ pieces: readonly ListedPiece[] }>();
const library = useLibrary();
const toasts = useToasts();

async function act(work: () => Promise<unknown>, told: string): Promise<void> {
  try {
    await work();
    await library.load();
    toasts.tell(told);
  } catch (error) {
    toasts.fail(error);
  }
}
const restore = ({ id, title }: ListedPiece) =>
  act(() => api.filePiece(id, { archived: false }), `“${title}” is back in its crate.`);
const remove = ({ id, title }: ListedPiece) =>
  act(() => api.remove("piece", id), `“${title}” is in the bin for 30 days.`);
</script>

<template>
  <ul class="dated">
    <li v-for="piece in pieces" :key="piece.id">
      <span class="quiet small number">{{ when(piece.changed) }}</span>
      <RouterLink :to="{ name: 'piece', params: { id: piece.id, step: 'sizes' } }">
        {{ piece.title }}
      </RouterLink>
      <span>
        <NButton quaternary @click="restore(piece)">Restore</NButton>
        <NButton quaternary @click="remove(piece)">Delete</NButton>
      </span>
    </li>
  </ul>
</template>
