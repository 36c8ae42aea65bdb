<script setup lang="ts">
import { computed, ref } from "vue";
import { families } from "../../core/shelf";
import { typefaceName, useTypefaces } from "./use-typeface";
import SelectField from "../ui/SelectField.vue";
import { asOptions } from "../ui/options";

/** The shipped typefaces, chosen by feeling, each set in the kit's own name. */
const chosen = defineModel<string>({ required: true });
const props = defineProps<{ sample: string; label: string }>();

const feelings = [...new Set(families.flatMap((family) => family.feelings))].sort();
const feeling = ref("");
const shown = computed(() =>
  feeling.value ? families.filter((family) => family.feelings.includes(feeling.value)) : families,
);
/** The boldest face: a kit's headlines are seldom light. */
const fileOf = (family: (typeof families)[number]) => family.faces.at(-1)!.file;
useTypefaces(() => shown.value.map(fileOf));
const words = computed(() => props.sample.trim() || "Your name here");
</script>

<template>
  <section :aria-label="label">
    <div class="section-head">
      <h2>{{ label }}</h2>
      <SelectField
        v-model="feeling"
        class="field"
        :label="`Feeling of the ${label.toLowerCase()}`"
        :options="[{ value: '', label: 'of any feeling' }, ...asOptions(feelings)]"
      />
    </div>
    <div class="shelf" role="radiogroup" :aria-label="label" tabindex="-1">
      <label v-for="family in shown" :key="family.id" :class="{ chosen: family.id === chosen }">
        <input v-model="chosen" type="radio" :name="label" :value="family.id" class="hidden-name" />
        <span class="sample" :style="{ fontFamily: `'${typefaceName(fileOf(family))}'` }">{{
          words
        }}</span>
        <span class="quiet small">{{ family.family }}, {{ family.character }}</span>
      </label>
    </div>
  </section>
</template>

<style scoped>
.section-head .field {
  width: 150px;
}

.shelf {
  display: grid;
  gap: 1px;
  max-height: 272px;
  overflow: auto;
  border: 1px solid var(--line);
  background: var(--line);
}

label {
  position: relative;
  display: grid;
  gap: 2px;
  padding: 8px 12px;
  border-left: 3px solid transparent;
  background: var(--card);
  cursor: pointer;
}

label.chosen {
  border-left-color: var(--zest);
}

label:focus-within {
  outline: 2px solid var(--leaf);
  outline-offset: -2px;
}

.sample {
  overflow: hidden;
  font-size: 24px;
  line-height: 1.25;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
