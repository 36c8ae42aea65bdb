<script setup lang="ts">
import { ArrowLeft } from "@lucide/vue";
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
    <NButton
      v-if="bench.large"
      quaternary
      class="to-wall"
      aria-label="Back to the wall"
      title="Back to the wall (Esc)"
      @click="bench.large = false"
    >
      <template #icon><ArrowLeft aria-hidden="true" /></template>
    </NButton>
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
    <slot v-if="!bench.large" name="wall" />
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

.to-wall {
  margin-left: -8px;
}

.space {
  flex: 1;
}
</style>
