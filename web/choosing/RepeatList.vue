<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed } from "vue";
import type { Repeat } from "../../core/choosing";
import { useChoosing } from "./choosing";

/** Variations that say or look nearly the same: channels show fewer of those. */
const choosing = useChoosing();
const emit = defineEmits<{ compare: [] }>();
const repeats = computed(() => choosing.sheet?.repeats ?? []);
const SHOWN = 4;

function sayOf({ kind, variations, differ }: Repeat): string {
  const names = variations.slice(0, 6).map(choosing.nameOf).join(", ");
  const more = variations.length > 6 ? ` and ${variations.length - 6} more` : "";
  return kind === "picture"
    ? `${names}${more} look the same.`
    : `${names}${more} say nearly the same: ${differ.map((one) => `“${one}”`).join(" or ")}.`;
}

/** One of each that differs, as many as fit side by side. */
function hold({ variations }: Repeat): void {
  choosing.compared = variations.slice(0, 2);
  emit("compare");
}
</script>

<template>
  <section v-if="repeats.length" class="repeats" aria-label="Repeats">
    <p v-for="(repeat, index) in repeats.slice(0, SHOWN)" :key="index">
      {{ sayOf(repeat) }}
      <NButton text type="primary" @click="hold(repeat)">Hold side by side</NButton>
    </p>
    <p v-if="repeats.length > SHOWN" class="quiet">
      and {{ repeats.length - SHOWN }} more groups like these
    </p>
  </section>
</template>

<style scoped>
.repeats {
  padding: 10px 14px;
  border-left: 3px solid var(--lemon);
  background: var(--lemon-tint);
  font-size: 13px;
}
</style>
