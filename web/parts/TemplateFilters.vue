<script setup lang="ts">
import { LookName, Purpose } from "../../core/templates";
import { useLibrary } from "../stores/library";
import type { Filters } from "./template-filters";

/** What templates are found by, and the brand that they are shown in. */
const filters = defineModel<Filters>({ required: true });
const brand = defineModel<string>("brand", { required: true });
const library = useLibrary();

const COUNTS = [
  "No picture",
  "One picture",
  "2 pictures",
  "3 pictures",
  "4 pictures",
  "5 pictures",
];
const valueOf = (event: Event): string => (event.target as HTMLInputElement).value;
const change = (part: Partial<Filters>): void => {
  filters.value = { ...filters.value, ...part };
};
</script>

<template>
  <div class="filters">
    <input
      class="field"
      type="search"
      aria-label="Find a template"
      placeholder="Find a template"
      :value="filters.find"
      @input="change({ find: valueOf($event) })"
    />
    <select
      class="field"
      aria-label="Purpose"
      :value="filters.purpose"
      @change="change({ purpose: valueOf($event) })"
    >
      <option value="">Every purpose</option>
      <option v-for="one in Purpose.options" :key="one" :value="one">{{ one }}</option>
    </select>
    <select
      class="field"
      aria-label="Look"
      :value="filters.look"
      @change="change({ look: valueOf($event) })"
    >
      <option value="">Every look</option>
      <option v-for="one in LookName.options" :key="one" :value="one">{{ one }}</option>
    </select>
    <select
      class="field"
      aria-label="Number of pictures"
      :value="filters.pictures"
      @change="change({ pictures: valueOf($event) })"
    >
      <option value="">Any pictures</option>
      <option v-for="(name, count) in COUNTS" :key="name" :value="count">{{ name }}</option>
    </select>
    <select v-model="brand" class="field" aria-label="Shown in">
      <option v-for="one in library.brands" :key="one.id" :value="one.id">{{ one.name }}</option>
    </select>
  </div>
</template>

<style scoped>
.filters {
  display: flex;
  gap: 10px;
  padding-bottom: 18px;
}

.field {
  min-width: 0;
}
</style>
