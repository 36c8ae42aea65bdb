<script setup lang="ts">
import BrandMark from "./BrandMark.vue";

/** The bar over a page that is no workbench: the way home, where one is, and what leads on. */
defineProps<{ title: string }>();
</script>

<template>
  <header class="bar">
    <RouterLink to="/" aria-label="Crates" class="home"><BrandMark :size="20" /></RouterLink>
    <slot name="before" />
    <h1>{{ title }}</h1>
    <div class="after"><slot /></div>
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  gap: 16px;
  align-items: center;
  height: 48px;
  padding: 0 16px;
  border-bottom: 1px solid var(--line);
}

.home {
  display: grid;
}

h1 {
  font-size: 16px;
}

.after {
  display: flex;
  gap: 16px;
  align-items: center;
  margin-left: auto;
}
</style>
