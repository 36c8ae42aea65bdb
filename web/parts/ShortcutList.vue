<script setup lang="ts">
import { NModal } from "naive-ui";
import { shortcuts } from "../views/use-shortcuts";

const shown = defineModel<boolean>("shown", { required: true });
</script>

<template>
  <NModal v-model:show="shown">
    <section class="keys" role="dialog" aria-label="Keys" aria-modal="true">
      <h2>Keys</h2>
      <dl>
        <template v-for="shortcut in shortcuts" :key="shortcut.keys">
          <dt>{{ shortcut.keys }}</dt>
          <dd>{{ shortcut.does }}</dd>
        </template>
      </dl>
      <button class="button" @click="shown = false">Close</button>
    </section>
  </NModal>
</template>

<style scoped>
.keys {
  display: grid;
  gap: 16px;
  justify-items: start;
  width: 420px;
  padding: 24px;
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
}

dl {
  display: grid;
  grid-template-columns: 140px 1fr;
  gap: 8px 16px;
  margin: 0;
}

dt {
  font-weight: 600;
}

dd {
  margin: 0;
}
</style>
