<script setup lang="ts">
import { slotHints, slotName, type SortedLine } from "../../core/message";
import SelectField from "../ui/SelectField.vue";
import { asOptions } from "../ui/options";

/** What was typed, a line each, and the slot that each is sorted into; dragged onto another line's slot, or chosen. */
const lines = defineModel<SortedLine[]>({ required: true });
const slots = asOptions(Object.keys(slotHints), slotName);

function move(index: number, slot: string): void {
  lines.value = lines.value.map((line, i) => (i === index ? { ...line, slot } : line));
}

/** A line that is dropped on another changes slots with it. */
function dropped(event: DragEvent, onto: number): void {
  const from = Number(event.dataTransfer?.getData("text/line"));
  const [a, b] = [lines.value[from], lines.value[onto]];
  if (!a || !b || from === onto) return;
  lines.value = lines.value.map((line, i) =>
    i === from ? { ...line, slot: b.slot } : i === onto ? { ...line, slot: a.slot } : line,
  );
}

const drag = (event: DragEvent, index: number): void =>
  event.dataTransfer?.setData("text/line", String(index));
</script>

<template>
  <ul class="lines" aria-label="Sorted lines">
    <li
      v-for="(line, index) in lines"
      :key="index"
      draggable="true"
      @dragstart="drag($event, index)"
      @dragover.prevent
      @drop.prevent="dropped($event, index)"
    >
      <SelectField
        class="slot"
        size="small"
        :model-value="line.slot"
        :label="`What “${line.text}” is`"
        :options="slots"
        @update:model-value="move(index, $event ?? line.slot)"
      />
      <span class="text">{{ line.text }}</span>
    </li>
  </ul>
</template>

<style scoped>
.lines {
  display: grid;
  padding: 0;
  margin: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 116px 1fr;
  gap: 10px;
  align-items: baseline;
  padding: 5px 0;
  border-top: 1px solid var(--line);
  font-size: 13.5px;
  cursor: grab;
}

.slot {
  width: 100%;
  border: 0;
  background: none;
  color: var(--quiet);
  font: inherit;
  font-size: 12.5px;
}

.text {
  overflow-wrap: anywhere;
}
</style>
