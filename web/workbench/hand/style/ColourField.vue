<script setup lang="ts">
import { NButton, NPopover } from "naive-ui";
import ColourSwatches from "./ColourSwatches.vue";
import { useHandStyle } from "./use-style";

/** A colour in a row of its own, chosen over the page. */
defineProps<{ label: string; words?: boolean }>();
const token = defineModel<string>();
const { hexOf } = useHandStyle();
</script>

<template>
  <div class="line">
    <span class="quiet small">{{ label }}</span>
    <NPopover trigger="click" placement="left" :width="260">
      <template #trigger>
        <NButton size="small" class="chosen" :aria-label="`${label}: choose a colour`">
          <span class="paint" :style="{ background: (token && hexOf(token)) || 'none' }"></span>
          Choose
        </NButton>
      </template>
      <ColourSwatches :token="token" :words="words ?? false" @pick="token = $event" />
    </NPopover>
  </div>
</template>

<style scoped>
.chosen {
  justify-self: start;
}

.paint {
  width: 18px;
  height: 18px;
  margin-right: 8px;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
}
</style>
