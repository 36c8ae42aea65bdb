<script setup lang="ts">
import { NConfigProvider } from "naive-ui";
import { defineAsyncComponent } from "vue";
import ToastList from "./common/ToastList.vue";
import { useNaiveTheme } from "./theme/naive";

const { theme, overrides } = useNaiveTheme();
/** Not needed before something is looked for, so that the first page comes sooner. */
const FindPalette = defineAsyncComponent(() => import("./find/FindPalette.vue"));
</script>

<template>
  <NConfigProvider :theme="theme" :theme-overrides="overrides" class="program">
    <RouterView />
    <ToastList />
    <FindPalette />
  </NConfigProvider>
</template>

<style>
/* A page is a column: what stands over it, and the rest of the height. */
.program {
  display: flex;
  flex-direction: column;
  height: 100%;
}
</style>
