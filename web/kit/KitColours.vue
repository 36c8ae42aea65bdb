<script setup lang="ts">
import { NButton } from "naive-ui";
import { Plus } from "@lucide/vue";
import type { BrandColour } from "../../core/brand";
import { ref } from "vue";
import { colourId, MOST_COLOURS, readColours } from "../../core/kit";
import ColourRow from "./ColourRow.vue";
import FileButton from "../ui/FileButton.vue";

/** The colours of a kit, to be changed. An id stays with its colour, so that pieces keep theirs. */
type Row = BrandColour & { from?: string };
const colours = defineModel<Row[]>({ required: true });

function change(index: number, to: Omit<Row, "id">): void {
  colours.value = colours.value.map((colour, i) => (i === index ? { ...colour, ...to } : colour));
}

function add(): void {
  const id = colourId("colour", new Set(colours.value.map((colour) => colour.id)));
  colours.value = [...colours.value, { id, name: "Colour", hex: "#888888", role: "free" }];
}

/** What was said about the file that was read last. */
const note = ref("");

/** Colours of a file come after those that are there; one of the same value is not taken twice. */
async function readFile(file: File | undefined): Promise<void> {
  if (!file) return;
  const read = readColours(await file.text());
  const known = new Set(colours.value.map(({ hex }) => hex.toUpperCase()));
  const taken = new Set(colours.value.map(({ id }) => id));
  const fresh = read.colours.filter(({ hex }) => !known.has(hex.toUpperCase()));
  const room = fresh.slice(0, MOST_COLOURS - colours.value.length);
  const added = room.map((colour): Row => {
    const id = colourId(colour.id, taken);
    taken.add(id);
    return { ...colour, id, from: file.name };
  });
  colours.value = [...colours.value, ...added];
  note.value = [
    `${added.length} of ${read.colours.length} colours taken from ${file.name}.`,
    ...read.notes,
  ].join(" ");
}

const remove = (index: number): void => {
  colours.value = colours.value.filter((_, i) => i !== index);
};
</script>

<template>
  <section aria-label="Colours">
    <div class="section-head">
      <h2>Colours</h2>
      <div class="ways">
        <FileButton
          plain
          label="Read colours from a file"
          accept=".json,.css,.txt"
          @open="readFile($event[0])"
          ><template #text>From a file</template></FileButton
        >
        <NButton quaternary :disabled="colours.length >= MOST_COLOURS" @click="add">
          <Plus :size="16" aria-hidden="true" /> Add a colour
        </NButton>
      </div>
    </div>
    <p v-if="note" role="status" class="quiet small">{{ note }}</p>
    <div class="colours">
      <ColourRow
        v-for="(colour, index) in colours"
        :key="colour.id"
        :model-value="colour"
        :removable="colours.length > 1"
        @update:model-value="change(index, $event)"
        @remove="remove(index)"
      />
    </div>
  </section>
</template>

<style scoped>
.ways {
  position: relative;
  display: flex;
  gap: 8px;
}

.colours {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
}
</style>
