<script setup lang="ts">
import { NButton } from "naive-ui";
import { useBench } from "../bench";
import { usePiece } from "../piece";

/** Over the wall: what it shows, and how it is looked at. */
defineProps<{ title: string; about?: string }>();
const open = usePiece();
const bench = useBench();
</script>

<template>
  <header>
    <h2>{{ title }}</h2>
    <span v-if="bench.showBefore" class="back" role="status">as before the last change</span>
    <span v-else-if="about" class="quiet about">{{ about }}</span>
    <span class="space"></span>
    <slot />
    <NButton
      quaternary
      :aria-pressed="bench.showBefore"
      :disabled="!open.before"
      title="Compare with how it was before the last change (b)"
      @click="bench.showBefore = !bench.showBefore"
    >
      {{ bench.showBefore ? "Back to now" : "Before" }}
    </NButton>
    <NButton
      :quaternary="!bench.showCovered"
      :secondary="bench.showCovered"
      :aria-pressed="bench.showCovered"
      title="What each channel covers and crops (g)"
      @click="bench.showCovered = !bench.showCovered"
    >
      Covered areas
    </NButton>
    <NButton
      :quaternary="!bench.showAttention"
      :secondary="bench.showAttention"
      :aria-pressed="bench.showAttention"
      title="Where it is likely to be looked at first (a)"
      @click="bench.showAttention = !bench.showAttention"
    >
      Attention
    </NButton>
    <NButton v-if="bench.large" @click="bench.large = false"> Back to the wall </NButton>
    <slot v-else name="wall" />
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 4px;
  align-items: center;
  min-height: 32px;
  margin-bottom: 16px;
  white-space: nowrap;
}

.about,
.back {
  margin-left: 8px;
}

.back {
  color: var(--zest);
}

.space {
  flex: 1;
}
</style>
