<script setup lang="ts">
import { NButton } from "naive-ui";
import type { RouteLocationRaw } from "vue-router";

/** A link to a page of the program that looks like what it does. */
defineProps<{
  to: RouteLocationRaw;
  main?: boolean;
  plain?: boolean;
  size?: "small" | "medium";
}>();
</script>

<template>
  <RouterLink v-slot="{ href, navigate }" :to="to" custom>
    <NButton
      tag="a"
      :href="href"
      :type="main ? 'primary' : 'default'"
      :quaternary="plain ?? false"
      :size="size ?? 'medium'"
      @click="navigate"
    >
      <slot />
    </NButton>
  </RouterLink>
</template>
