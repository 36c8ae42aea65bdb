<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import { formatted, FORMATS, type CellFormat, type Table } from "../../../core/batch";
import { LANGUAGES, languageName } from "../../../core/language/names";
import { counted } from "../../common/counted";
import { useToasts } from "../../common/toasts";
import { asOptions } from "../../ui/options";
import PopUp from "../../ui/PopUp.vue";
import SelectField from "../../ui/SelectField.vue";
import { usePiece } from "../piece";

/** Dates, numbers and prices of a column, written as a language writes them. */
const props = defineProps<{ table: Table; column: number }>();
const emit = defineEmits<{ change: [table: Table] }>();

const NAMES: Record<CellFormat, string> = {
  weekday: "Weekday and day",
  day: "Day with its year",
  "short-date": "Short date",
  number: "Number",
  price: "Price",
};
const CURRENCIES = Intl.supportedValuesOf("currency");

const open = usePiece();
const toasts = useToasts();
const show = ref(false);
const as = ref<CellFormat>("weekday");
const chosen = ref<string>();
const currency = ref("EUR");

const language = computed({
  get: () => chosen.value ?? open.piece?.language ?? "en",
  set: (value) => (chosen.value = value),
});
const languages = asOptions([...new Set([...LANGUAGES, "en-GB", "en-US"])], languageName).sort(
  (a, b) => a.label.localeCompare(b.label),
);
const heading = computed(() => props.table.columns[props.column] || "this column");

function apply(): void {
  const how = { as: as.value, language: language.value, currency: currency.value };
  const { table, left } = formatted(props.table, props.column, how);
  show.value = false;
  emit("change", table);
  if (left > 0) toasts.tell(`Left as written in “${heading.value}”: ${counted(left, "cell")}.`);
}
</script>

<template>
  <PopUp v-model:show="show">
    <template #trigger>
      <NButton>Format {{ heading }} …</NButton>
    </template>
    <form class="format" @submit.prevent="apply">
      <SelectField
        v-model="as"
        label="Written as"
        :options="asOptions(FORMATS, (one) => NAMES[one])"
      />
      <SelectField v-model="language" label="In the manner of" :options="languages" />
      <SelectField
        v-if="as === 'price'"
        v-model="currency"
        label="Currency, where none is said"
        :options="asOptions(CURRENCIES, (code) => code)"
      />
      <NButton type="primary" attr-type="submit">Write them so</NButton>
    </form>
  </PopUp>
</template>

<style scoped>
.format {
  display: grid;
  gap: 8px;
  width: 220px;
}
</style>
