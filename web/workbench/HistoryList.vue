<script setup lang="ts">
import { History } from "@lucide/vue";
import { NButton, NSpin } from "naive-ui";
import { computed, ref } from "vue";
import type { HistoryStep } from "../../core/api";
import { api } from "../api/client";
import { when } from "../common/when";
import { useToasts } from "../common/toasts";
import PopUp from "../ui/PopUp.vue";
import { usePiece } from "./piece";

/** What was done to the piece, step by step; a press goes back to how it was after one of them, or forth again. */
const open = usePiece();
const toasts = useToasts();
const shown = ref(false);
/** Nothing until it is here: on the steps of an earlier look a press would go astray. */
const steps = ref<HistoryStep[]>();
/** The first that is not taken back: the piece is as it was after this one. */
const now = computed(() => {
  const at = steps.value?.findIndex(({ undone }) => !undone) ?? -1;
  return at < 0 ? (steps.value?.length ?? 0) : at;
});

async function show(wanted: boolean): Promise<void> {
  shown.value = wanted;
  steps.value = undefined;
  if (!wanted || !open.piece) return;
  try {
    await open.save();
    steps.value = (await api.history(open.piece.id)).steps;
  } catch (error) {
    shown.value = false;
    toasts.fail(error);
  }
}

async function goTo(at: number): Promise<void> {
  shown.value = false;
  const by = at - now.value;
  const step = by > 0 ? open.undo : open.redo;
  await Promise.all(Array.from({ length: Math.abs(by) }, () => step()));
}

const capital = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);
</script>

<template>
  <PopUp placement="bottom-end" :show="shown" @update:show="show">
    <template #trigger>
      <NButton quaternary aria-label="History" title="History" :disabled="!open.piece">
        <History :size="18" aria-hidden="true" />
      </NButton>
    </template>
    <NSpin v-if="!steps" size="small" aria-label="Loading" />
    <ol v-else-if="steps.length > 0" aria-label="History">
      <li v-for="(step, at) in steps" :key="at">
        <NButton
          quaternary
          class="step"
          :class="{ undone: step.undone }"
          :aria-current="at === now ? 'step' : undefined"
          :secondary="at === now"
          @click="goTo(at)"
        >
          <span>{{ capital(step.name) }}</span>
          <span class="quiet small">{{ when(step.at) }}</span>
        </NButton>
      </li>
      <li>
        <NButton
          quaternary
          class="step"
          :aria-current="now === steps.length ? 'step' : undefined"
          :secondary="now === steps.length"
          @click="goTo(steps.length)"
        >
          <span>As it began</span>
        </NButton>
      </li>
    </ol>
    <p v-else class="quiet">Nothing was changed yet.</p>
  </PopUp>
</template>

<style scoped>
ol {
  width: 320px;
  max-height: 60vh;
  padding: 0;
  margin: 0;
  overflow: auto;
  list-style: none;
}

.step {
  justify-content: start;
  width: 100%;
  font-weight: 400;
}

.step :deep(.n-button__content) {
  display: flex;
  justify-content: space-between;
  width: 100%;
}

.undone {
  opacity: 0.65;
}

p {
  margin: 0;
}
</style>
