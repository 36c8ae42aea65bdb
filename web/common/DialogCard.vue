<script setup lang="ts">
import { NButton, NModal } from "naive-ui";

/** A card over the page with a title and the one way out. `fill`: as high as the page allows, its body scrolls. It is a div since the package keeps the focus in nothing else. */
defineProps<{ title: string; width: number; close?: string; fill?: boolean }>();
const shown = defineModel<boolean>("shown", { required: true });
</script>

<template>
  <NModal v-model:show="shown">
    <div
      class="card"
      :class="{ fill }"
      :style="{ width: `${width}px` }"
      role="dialog"
      :aria-label="title"
      aria-modal="true"
    >
      <div class="head">
        <h2>{{ title }}</h2>
        <NButton @click="shown = false">{{ close ?? "Close" }}</NButton>
      </div>
      <slot />
    </div>
  </NModal>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  gap: 16px;
  max-width: calc(100vw - 32px);
  max-height: 80vh;
  padding: 24px;
  overflow: auto;
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
}

.card.fill {
  height: 80vh;
}

.head {
  display: flex;
  flex: none;
  align-items: center;
  justify-content: space-between;
}
</style>
