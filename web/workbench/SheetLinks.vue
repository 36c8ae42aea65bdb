<script setup lang="ts">
import { NButton, NDropdown } from "naive-ui";
import { computed } from "vue";
import { isStrip } from "../../core/strip";
import { usePiece } from "./piece";

/** All sizes on one page, to be sent round, as a picture or a document; of a strip also its slides. */
const open = usePiece();
const ofSizes = [
  { key: "sheet?format=png", label: "All sizes as a picture (PNG)" },
  { key: "sheet?format=pdf", label: "All sizes as a document (PDF)" },
];
const ofSlides = [
  { key: "slides?format=pdf", label: "The slides as a document (PDF)" },
  { key: "slides?format=png", label: "The slides as one long picture (PNG)" },
];
const options = computed(() =>
  open.whole && isStrip(open.whole) ? [...ofSizes, ...ofSlides] : ofSizes,
);

function take(what: string): void {
  window.location.assign(`/api/pieces/${open.piece?.id ?? ""}/${what}`);
}
</script>

<template>
  <NDropdown trigger="click" :options="options" @select="take">
    <NButton title="All sizes on one page">One page</NButton>
  </NDropdown>
</template>
