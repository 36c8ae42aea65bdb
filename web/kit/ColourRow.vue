<script setup lang="ts">
import { NButton } from "naive-ui";
import { X } from "@lucide/vue";
import { computed, ref, watch } from "vue";
import { BrandRole, type BrandColour } from "../../core/brand";
import { onColour, probablyMeant, readColour } from "../../core/colour";

/** One colour of a kit: its swatch with name, value and role, each changed in place. `from` says where it came from. */
const colour = defineModel<Omit<BrandColour, "id"> & { from?: string }>({ required: true });
defineProps<{ removable: boolean }>();
const emit = defineEmits<{ remove: [] }>();

const typed = ref(colour.value.hex);
watch(
  () => colour.value.hex,
  (hex) => {
    if (readColour(typed.value) !== hex) typed.value = hex;
  },
);
const wrong = computed(() => readColour(typed.value) === undefined);
const meant = computed(() => (wrong.value ? probablyMeant(typed.value) : undefined));
function type(value: string): void {
  typed.value = value;
  const hex = readColour(value);
  if (hex) colour.value = { ...colour.value, hex };
}

const roles = BrandRole.options;
</script>

<template>
  <div class="colour" :style="{ background: colour.hex, color: onColour(colour.hex) }">
    <div class="top">
      <input
        :value="colour.name"
        class="name"
        :aria-label="`Name of ${colour.hex}`"
        maxlength="40"
        @input="colour = { ...colour, name: ($event.target as HTMLInputElement).value }"
      />
      <NButton
        v-if="removable"
        text
        class="remove"
        :aria-label="`Remove ${colour.name}`"
        @click="emit('remove')"
        ><X :size="16" aria-hidden="true"
      /></NButton>
    </div>
    <p v-if="colour.from" class="from">{{ colour.from }}</p>
    <div class="foot">
      <input
        :value="typed"
        class="number value"
        :aria-label="`Value of ${colour.name}`"
        :aria-invalid="wrong"
        @input="type(($event.target as HTMLInputElement).value)"
      />
      <select
        :value="colour.role"
        :aria-label="`Role of ${colour.name}`"
        @change="
          colour = { ...colour, role: BrandRole.parse(($event.target as HTMLSelectElement).value) }
        "
      >
        <option v-for="role in roles" :key="role" :value="role">{{ role }}</option>
      </select>
    </div>
    <p v-if="wrong" role="alert" class="wrong">
      “{{ typed }}” is not a colour; {{ colour.hex }} stays.
      <NButton v-if="meant" text class="meant" @click="type(meant)">Take {{ meant }}</NButton>
    </p>
  </div>
</template>

<style scoped>
.colour {
  display: grid;
  grid-template-rows: auto 1fr auto;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  min-height: 132px;
  padding: 12px;
  outline: 1px solid var(--line);
  outline-offset: -1px;
}

.foot {
  grid-row: 3;
}

.top,
.foot {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
}

input,
select {
  min-width: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
}

.name {
  flex: 1;
  width: 0;
  padding: 2px 0;
  font-weight: 650;
}

.value {
  width: 84px;
  padding: 2px 0;
}

select {
  max-width: 96px;
  padding: 2px 0;
}

option {
  background: var(--card);
  color: var(--ink);
}

input:focus-visible,
select:focus-visible {
  outline: 2px solid currentcolor;
  outline-offset: 1px;
}

.n-button {
  color: inherit;
}

.from {
  margin: 0;
  font-size: 12px;
}

.wrong {
  margin: 0 -12px -12px;
  padding: 6px 12px;
  background: var(--berry-tint);
  color: var(--berry);
  font-size: 12.5px;
}

.meant {
  display: inline;
  padding: 0;
  font-weight: 650;
  text-decoration: underline;
}
</style>
