<script setup lang="ts">
import { Eye, GripVertical, Lock, LockOpen } from "@lucide/vue";
import { NButton } from "naive-ui";
import { usePiece } from "../piece";
import { useHand } from "./hand";

/** One node in the list. By itself, so that of a long list only what has changed is drawn anew. */
const props = defineProps<{
  id: string;
  name: string;
  /** This size has something of its own of it. */
  local: boolean;
  locked: boolean;
  selected: boolean;
  draggable: boolean;
}>();
const emit = defineEmits<{ hold: []; release: []; over: []; dropped: []; move: [by: 1 | -1] }>();

const hand = useHand();
const open = usePiece();

const pick = (more: boolean): void => (more ? hand.toggle(props.id) : hand.select([props.id]));
const lock = (): void => open.set(["arrangement", props.id, "locked"], props.locked ? null : true);
</script>

<template>
  <li
    :draggable="draggable"
    @dragstart="emit('hold')"
    @dragend="emit('release')"
    @dragover.prevent="emit('over')"
    @drop.prevent="emit('dropped')"
    @keydown.alt.up.prevent.stop="emit('move', 1)"
    @keydown.alt.down.prevent.stop="emit('move', -1)"
  >
    <GripVertical v-if="draggable" class="grip" :size="14" aria-hidden="true" />
    <!-- In Safari the package's button would keep a press to itself, and the row could not be dragged by its name. -->
    <NButton
      native-focus-behavior
      quaternary
      size="small"
      class="name"
      :aria-pressed="selected"
      :secondary="selected"
      @click="pick($event.shiftKey)"
    >
      {{ name }} <span v-if="local" class="local">own</span>
    </NButton>
    <NButton quaternary size="small" :aria-label="`Hide ${name}`" @click="hand.hide(id)">
      <Eye :size="14" aria-hidden="true" />
    </NButton>
    <NButton
      quaternary
      size="small"
      :aria-pressed="locked"
      :aria-label="`${locked ? 'Unlock' : 'Lock'} ${name}`"
      @click="lock"
    >
      <component :is="locked ? Lock : LockOpen" :size="14" aria-hidden="true" />
    </NButton>
  </li>
</template>

<style scoped>
.grip {
  flex: none;
  color: var(--quiet);
  cursor: grab;
}

.name {
  flex: 1;
  min-width: 0;
  justify-content: start;
  padding: 0 6px;
  font-weight: 400;
}

.local {
  margin-left: 6px;
  color: var(--leaf);
  font-size: 12px;
}
</style>
