<script setup lang="ts">
import { NButton, NDropdown } from "naive-ui";
import { usePiece } from "./piece";

/** All sizes on one page, to be sent round: as a picture or as a document. */
const open = usePiece();
const formats = [
  { key: "png", label: "As a picture (PNG)" },
  { key: "pdf", label: "As a document (PDF)" },
];

function take(format: string): void {
  window.location.assign(`/api/pieces/${open.piece?.id ?? ""}/sheet?format=${format}`);
}
</script>

<template>
  <NDropdown trigger="click" :options="formats" @select="take">
    <NButton title="All sizes on one page">One page</NButton>
  </NDropdown>
</template>
