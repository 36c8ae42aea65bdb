<script setup lang="ts">
import { slotHints, slotName, type SortedLine } from "../../core/message";

/** What was typed, a line each, and the slot that each is sorted into; dragged onto another line's slot, or chosen. */
const lines = defineModel<SortedLine[]>({ required: true });
const slots = Object.keys(slotHints);

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
const valueOf = (event: Event): string => (event.target as HTMLSelectElement).value;
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
      <select
        class="slot"
        :value="line.slot"
        :aria-label="`What “${line.text}” is`"
        @change="move(index, valueOf($event))"
      >
        <option v-for="slot in slots" :key="slot" :value="slot">{{ slotName(slot) }}</option>
      </select>
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
