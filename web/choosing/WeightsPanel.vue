<script setup lang="ts">
import { CRITERIA } from "../../core/choosing";
import SliderField from "../ui/SliderField.vue";
import { useChoosing } from "./choosing";

/** How much each criterion counts, in sight. */
const choosing = useChoosing();
const MOST = 3;
</script>

<template>
  <fieldset class="weights">
    <legend>Weights</legend>
    <template v-for="criterion in choosing.criteria" :key="criterion">
      <span :title="CRITERIA[criterion].about" aria-hidden="true">{{
        CRITERIA[criterion].name
      }}</span>
      <SliderField
        v-model="choosing.weights[criterion]"
        :label="`Weight of ${CRITERIA[criterion].name.toLowerCase()}`"
        :min="0"
        :max="MOST"
        :step="1"
      />
      <span class="number quiet">{{ choosing.weights[criterion] }}</span>
    </template>
  </fieldset>
</template>

<style scoped>
.weights {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) 12px;
  gap: 6px 12px;
  align-items: center;
  padding: 0;
  margin: 0;
  border: 0;
  font-size: 13px;
}

legend {
  padding: 0 0 6px;
  font-weight: 650;
}
</style>
