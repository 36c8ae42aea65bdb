<script setup lang="ts">
import { NConfigProvider } from "naive-ui";
import ToastList from "./common/ToastList.vue";
import { useNaiveTheme } from "./theme/naive";

const { theme, overrides } = useNaiveTheme();
</script>

<template>
  <NConfigProvider :theme="theme" :theme-overrides="overrides" style="height: 100%">
    <RouterView />
    <ToastList />
  </NConfigProvider>
</template>
