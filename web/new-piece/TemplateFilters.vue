<script setup lang="ts">
import { computed } from "vue";
import { Format, LookName, Purpose, type Template } from "../../core/templates";
import type { Filters } from "./template-filters";
import SelectField from "../ui/SelectField.vue";
import TextField from "../ui/TextField.vue";

/** What templates are found by. */
const props = defineProps<{ templates: readonly Template[] }>();
const filters = defineModel<Filters>({ required: true });

const COUNTS = [
  "no picture",
  "one picture",
  "2 pictures",
  "3 pictures",
  "4 pictures",
  "5 pictures",
];

const choices = computed(() => {
  const occasions = [...new Set(props.templates.flatMap((template) => template.occasions))].sort();
  const plain = (all: readonly string[]) => all.map((one) => ({ value: one, label: one }));
  return [
    { key: "purpose", label: "Purpose", all: "Every purpose", options: plain(Purpose.options) },
    { key: "occasion", label: "Occasion", all: "Every occasion", options: plain(occasions) },
    { key: "format", label: "Format", all: "Every format", options: plain(Format.options) },
    { key: "look", label: "Look", all: "Every look", options: plain(LookName.options) },
    {
      key: "pictures",
      label: "Number of pictures",
      all: "Any pictures",
      options: COUNTS.map((name, count) => ({ value: String(count), label: name })),
    },
  ] as const;
});

const change = (part: Partial<Filters>): void => {
  filters.value = { ...filters.value, ...part };
};
</script>

<template>
  <div class="filters">
    <TextField
      class="field"
      label="Find a template"
      placeholder="Find a template"
      clearable
      :model-value="filters.find"
      @update:model-value="change({ find: $event ?? '' })"
    />
    <SelectField
      v-for="{ key, label, all, options } in choices"
      :key="key"
      class="field"
      :label="label"
      :model-value="filters[key]"
      :options="[{ value: '', label: all }, ...options]"
      @update:model-value="change({ [key]: $event ?? '' })"
    />
  </div>
</template>

<style scoped>
.filters {
  display: grid;
  grid-template-columns: repeat(6, minmax(0, 1fr));
  gap: 10px;
  padding-bottom: 18px;
}
</style>
