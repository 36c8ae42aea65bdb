<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed } from "vue";
import { slotName as nameOf } from "../../../core/message";
import { LIMITS, type TextFilling, type Wordings } from "../../../core/piece";
import { plainText } from "../../../core/text";
import { usePiece } from "../piece";

/** Other ways of saying what a slot says: kept for a batch, and exchanged with one press. */
const props = defineProps<{ slotName: string; wordings: Wordings }>();
const emit = defineEmits<{ written: [] }>();

const open = usePiece();
const others = computed(() => props.wordings.alternatives);
const canKeep = computed(
  () => props.wordings.text.trim() !== "" && others.value.length < LIMITS.alternatives,
);

function change({ text, alternatives }: Wordings): void {
  const { piece } = open;
  const { alternatives: _before, ...filling } = (piece?.message[props.slotName] ??
    {}) as TextFilling;
  const to = { ...filling, text, ...(alternatives.length > 0 ? { alternatives } : {}) };
  if (piece) open.become({ ...piece, message: { ...piece.message, [props.slotName]: to } });
}

/** The words go to the others, and the slot is free for new ones. */
function keep(): void {
  const { text, alternatives } = props.wordings;
  change({ text: "", alternatives: [...alternatives.filter((one) => one !== text), text] });
  emit("written");
}

/** That wording is shown, and what was shown takes its place. */
function use(index: number): void {
  const { text } = props.wordings;
  const wanted = others.value[index]!;
  const place = text.trim() === "" ? [] : [text];
  const alternatives = others.value.toSpliced(index, 1, ...place);
  change({ text: wanted, alternatives: [...new Set(alternatives)] });
}

const drop = (index: number): void =>
  change({ text: props.wordings.text, alternatives: others.value.filter((_, i) => i !== index) });
</script>

<template>
  <ul v-if="others.length" class="others" :aria-label="`Kept for the ${nameOf(slotName)}`">
    <li v-for="(one, index) in others" :key="one">
      <NButton
        text
        class="use"
        :title="`Show this ${nameOf(slotName).toLowerCase()}`"
        @click="use(index)"
        >{{ plainText(one) }}</NButton
      >
      <NButton
        text
        class="drop"
        :aria-label="`Do not keep “${plainText(one)}”`"
        @click="drop(index)"
        >×</NButton
      >
    </li>
  </ul>
  <NButton v-if="canKeep" text class="keep" @click="keep">Save as alternative</NButton>
</template>

<style scoped>
.others {
  display: grid;
  gap: 2px;
  padding: 4px 0 0;
  margin: 0;
  font-size: 13px;
  list-style: none;
}

li {
  display: flex;
  gap: 6px;
  align-items: start;
}

.n-button {
  color: var(--quiet);
  font-weight: 400;
}

.use {
  justify-content: flex-start;
  flex: 1;
  padding-left: 10px;
  border-left: 2px solid var(--line);
}

.use:hover {
  border-color: var(--leaf);
  color: var(--ink);
}

.drop {
  width: 20px;
  text-align: center;
}

.keep {
  display: none;
  padding-top: 4px;
  color: var(--leaf);
  font-size: 12px;
}

:global(.block:focus-within .keep) {
  display: block;
}
</style>
