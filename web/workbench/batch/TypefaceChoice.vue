<script setup lang="ts">
import { NCheckbox } from "naive-ui";
import { computed } from "vue";
import type { Brand } from "../../../core/brand";
import { pairingsOf } from "../../../core/templates";

/** Several ways of using the kit's typefaces, in the order in which they are chosen. */
const props = defineProps<{ brand: Brand }>();
const chosen = defineModel<string[]>({ required: true });

const ways = computed(() =>
  pairingsOf(props.brand).map(({ id, name }) => ({
    id,
    name: name.charAt(0).toUpperCase() + name.slice(1),
  })),
);

function choose(id: string, on: boolean): void {
  const others = chosen.value.filter((one) => one !== id);
  chosen.value = on ? [...others, id] : others;
}
</script>

<template>
  <NCheckbox
    v-for="{ id, name } in ways"
    :key="id"
    :checked="chosen.includes(id)"
    @update:checked="choose(id, $event)"
    >{{ name }}</NCheckbox
  >
</template>
