<script setup lang="ts">
import { Search } from "@lucide/vue";
import { useTitle } from "@vueuse/core";
import { NButton } from "naive-ui";
import { useFind } from "../find/find";
import BrandMark from "./BrandMark.vue";
import PlacesNav from "./PlacesNav.vue";

/** Over a page that is no workbench: the places, and below them what this one is and what can be done in it. */
const props = defineProps<{ title: string }>();
const find = useFind();
useTitle(() => `${props.title} – Zest Crate`);
</script>

<template>
  <header>
    <div class="places">
      <RouterLink to="/" aria-label="Zest Crate" class="home">
        <BrandMark :size="20" />
      </RouterLink>
      <PlacesNav />
      <NButton quaternary title="Find anything (Ctrl+K or /)" @click="find.open()">
        <Search :size="16" aria-hidden="true" /> Find
      </NButton>
    </div>
    <div class="page">
      <slot name="before" />
      <h1>{{ title }}</h1>
      <slot name="beside" />
      <div class="after"><slot /></div>
    </div>
  </header>
</template>

<style scoped>
.places {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  height: 48px;
  padding: 0 16px;
  border-bottom: 1px solid var(--line);
}

.home {
  display: grid;
  padding-right: 8px;
}

.page {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  min-height: 64px;
  padding: 12px 24px;
}

h1 {
  font-size: 22px;
}

.after {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-left: auto;
}

@media (max-width: 599px) {
  .page {
    padding: 12px 16px;
  }

  .after {
    margin-left: 0;
  }
}
</style>
