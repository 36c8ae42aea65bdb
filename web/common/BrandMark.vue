<script setup lang="ts">
/** The crate's three slats. */
defineProps<{ size: number }>();
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 20 20" aria-hidden="true">
    <path fill="var(--leaf)" d="M0 1h20v5H0zM0 7.5h20v5H0z" />
    <path fill="var(--zest)" d="M0 14h20v5H0z" />
  </svg>
</template>
