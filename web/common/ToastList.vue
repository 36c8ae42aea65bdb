<script setup lang="ts">
import { NAlert } from "naive-ui";
import { useRouter } from "vue-router";
import { useToasts } from "./toasts";

/** What has just happened, in a corner; it goes with the page that it is about. */
const toasts = useToasts();
useRouter().afterEach((to, from) => {
  if (to.name !== from.name) toasts.leave();
});
</script>

<template>
  <section class="toasts" aria-label="Messages">
    <NAlert
      v-for="toast in toasts.toasts"
      :key="toast.id"
      class="toast"
      :type="toast.kind === 'failed' ? 'error' : 'success'"
      closable
      @close="toasts.close(toast.id)"
    >
      {{ toast.text }}
    </NAlert>
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
  box-shadow: 0 4px 16px var(--shade);
}
</style>
