<script setup lang="ts">
import PageBar from "./PageBar.vue";
</script>

<template>
  <PageBar title="There is nothing at this address" />
  <main class="lost">
    <p>What was saved is safe. <RouterLink to="/">Go to the crates</RouterLink></p>
  </main>
</template>

<style scoped>
.lost {
  padding: 0 24px 64px;
}
</style>
