<script setup lang="ts">
import { computed } from "vue";
import {
  asAside,
  grid,
  isAside,
  lookColumnNamed,
  type BatchSlot,
  type Table,
} from "../../../core/batch";
import { slotName } from "../../../core/message";
import SelectField from "../../ui/SelectField.vue";
import { useBatch } from "./batch";

/** What the columns are for whose headings name no slot: as their cells say it, to be corrected. */
const props = defineProps<{ table: Table }>();
const emit = defineEmits<{ change: [to: Table] }>();

const NOTHING = "-";
const batch = useBatch();

const unnamed = computed(() =>
  props.table.columns.flatMap((heading, column) => {
    const { slot, by } = batch.matches[column] ?? {};
    if (by === "name" || lookColumnNamed(heading)) return [];
    const name = isAside(heading) ? heading.trim().slice(1, -1) : heading;
    return [{ heading: name || `Column ${column + 1}`, column, slot }];
  }),
);
/** Slots that no column is for yet, or that this one seems to be for. */
const offered = (own: BatchSlot | undefined) => [
  ...batch.slots
    .filter((slot) => slot === own || !batch.matches.some((one) => one.slot === slot))
    .map(({ name }) => ({ value: name, label: slotName(name) })),
  { value: NOTHING, label: "Nothing" },
];

function take(column: number, to: string): void {
  const heading = to === NOTHING ? asAside(props.table.columns[column]!) : to;
  emit("change", grid.withHeading(props.table, column, heading));
}
</script>

<template>
  <section v-if="unnamed.length" aria-label="What columns are for">
    <p class="quiet small">
      The headings of these columns name no slot: what they are for is told by their cells.
    </p>
    <div class="columns">
      <div v-for="{ column, heading, slot } in unnamed" :key="column">
        <span class="small" aria-hidden="true">{{ heading }}</span>
        <SelectField
          :label="`What “${heading}” is for`"
          :model-value="slot?.name ?? NOTHING"
          :options="offered(slot)"
          size="small"
          @update:model-value="take(column, String($event))"
        />
      </div>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}

p {
  margin: 0;
}

.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px 12px;
}

.columns span {
  display: block;
  margin-bottom: 3px;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}
</style>
