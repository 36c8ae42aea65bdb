<script setup lang="ts">
import { Lock, LockOpen } from "@lucide/vue";
import { NButton } from "naive-ui";
import { computed } from "vue";
import { usePiece } from "../piece";
import { nodeName } from "../../../core/wording/nodes";
import { useHand } from "./hand";

/** All that stands on the size, the front first; what is hidden on it can be brought back. */
const hand = useHand();
const open = usePiece();
const all = computed(() => hand.nodes.toReversed());

/** Hidden by a person, on this size or on all. */
const hidden = computed(() => {
  const { piece } = open;
  const { changes = {} } =
    piece?.sizes.find(({ placement }) => placement === hand.placement?.id) ?? {};
  return (piece?.arrangement ?? []).filter(
    ({ id, hidden: everywhere }) => changes[id]?.hidden ?? everywhere,
  );
});

function lock(id: string, locked: boolean): void {
  open.set(["arrangement", id, "locked"], locked || null);
}
</script>

<template>
  <section aria-label="Everything on this size">
    <h3>Everything here</h3>
    <ul>
      <li v-for="{ id, name, node, local } in all" :key="id">
        <NButton
          quaternary
          size="small"
          class="name"
          :aria-pressed="hand.selected.includes(id)"
          :secondary="hand.selected.includes(id)"
          @click="$event.shiftKey ? hand.toggle(id) : hand.select([id])"
        >
          {{ name }} <span v-if="local" class="local">own</span>
        </NButton>
        <NButton
          quaternary
          size="small"
          :aria-pressed="node.locked ?? false"
          :aria-label="`${node.locked ? 'Unlock' : 'Lock'} ${name}`"
          @click="lock(id, !node.locked)"
        >
          <component :is="node.locked ? Lock : LockOpen" :size="14" aria-hidden="true" />
        </NButton>
      </li>
      <li v-for="node in hidden" :key="node.id">
        <span class="quiet name out">{{ nodeName(node) }}, hidden</span>
        <NButton quaternary size="small" @click="hand.unhide(node.id)">Show</NButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  padding: 0;
  margin: 6px 0 0;
  list-style: none;
}

li {
  display: flex;
  align-items: center;
  justify-content: space-between;
}

.name {
  flex: 1;
  justify-content: start;
  font-weight: 400;
}

.out {
  padding: 0 10px;
  font-size: 13px;
}

.local {
  margin-left: 6px;
  color: var(--leaf);
  font-size: 12px;
}
</style>
