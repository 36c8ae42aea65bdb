<script setup lang="ts">
import { shortcuts } from "./use-shortcuts";
import DialogCard from "../common/DialogCard.vue";

const shown = defineModel<boolean>("shown", { required: true });
</script>

<template>
  <DialogCard v-model:shown="shown" title="Keys" :width="420">
    <dl>
      <template v-for="shortcut in shortcuts" :key="shortcut.keys">
        <dt>{{ shortcut.keys }}</dt>
        <dd>{{ shortcut.does }}</dd>
      </template>
    </dl>
  </DialogCard>
</template>

<style scoped>
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
