<script setup lang="ts">
import { loadRouteLocation, useRoute, useRouter } from "vue-router";

/** The places of the program, the one that one is in marked. */
const route = useRoute();
const router = useRouter();
/** What one points at is probably opened next. */
const loadAhead = (name: string): void =>
  void loadRouteLocation(router.resolve({ name })).catch(() => undefined);

const PLACES = [
  { name: "crates", title: "Crates", also: ["crate", "archive", "new-piece"] },
  { name: "brands", title: "Brand kits", also: ["brand", "new-brand", "specimen", "sheet"] },
  { name: "templates", title: "Templates", also: [] },
  { name: "pictures", title: "Pictures", also: [] },
  { name: "placements", title: "Placements", also: [] },
  { name: "storage", title: "Storage", also: [] },
] as const;

const isIn = ({ name, also }: (typeof PLACES)[number]): boolean =>
  [name, ...also].some((one) => one === route.name);
</script>

<template>
  <nav aria-label="Places">
    <RouterLink
      v-for="place in PLACES"
      :key="place.name"
      :to="{ name: place.name }"
      :aria-current="isIn(place) ? 'page' : undefined"
      @pointerenter="loadAhead(place.name)"
      @focus="loadAhead(place.name)"
    >
      {{ place.title }}
    </RouterLink>
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  align-self: stretch;
  min-width: 0;
  overflow-x: auto;
}

a {
  display: flex;
  align-items: center;
  padding: 3px 12px 0;
  border-bottom: 3px solid transparent;
  color: var(--quiet);
  font-weight: 500;
  text-decoration: none;
  white-space: nowrap;
}

a:hover {
  color: var(--ink);
}

a[aria-current] {
  border-color: var(--zest);
  color: var(--ink);
  font-weight: 650;
}
</style>
