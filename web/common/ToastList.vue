<script setup lang="ts">
import { NButton } from "naive-ui";
import { X } from "@lucide/vue";
import { useToasts } from "./toasts";

const toasts = useToasts();
</script>

<template>
  <section class="toasts" aria-live="polite" aria-label="Messages">
    <div v-for="toast in toasts.toasts" :key="toast.id" class="toast" :class="toast.kind">
      <p>{{ toast.text }}</p>
      <NButton quaternary aria-label="Close this message" @click="toasts.close(toast.id)">
        <X :size="16" aria-hidden="true" />
      </NButton>
    </div>
  </section>
</template>

<style scoped>
.toasts {
  position: fixed;
  right: 16px;
  bottom: 16px;
  z-index: 3000;
  display: grid;
  gap: 8px;
  width: min(420px, calc(100vw - 32px));
}

.toast {
  display: flex;
  gap: 8px;
  align-items: start;
  padding: 8px 8px 8px 16px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--card);
  box-shadow: 0 4px 16px var(--shade);
}

.toast p {
  flex: 1;
  padding: 6px 0;
}

.failed {
  border-color: var(--berry);
}
</style>
