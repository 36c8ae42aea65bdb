<script setup lang="ts">
import type { FileId } from "../../core/files";

/** A profile picture in its circle. */
defineProps<{ file: FileId }>();
</script>

<template>
  <img :src="`/api/pictures/${file}/rendition?width=320`" alt="Profile picture" />
</template>

<style scoped>
img {
  display: block;
  margin-bottom: 10px;
  width: 88px;
  height: 88px;
  border-radius: 50%;
  object-fit: cover;
}
</style>
