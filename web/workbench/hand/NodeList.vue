<script setup lang="ts">
import { Eye, EyeOff, GripVertical, Lock, LockOpen } from "@lucide/vue";
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import TextField from "../../ui/TextField.vue";
import { usePiece } from "../piece";
import { nodeName } from "../../../core/wording/nodes";
import { useHand, type HandNode } from "./hand";

/**
 * All that stands on the size, the front first, in its groups; what is hidden on it can be brought back. Rows are dragged, or
 * moved with Alt and the arrow keys, to lie in front of others.
 */
const hand = useHand();
const open = usePiece();
const all = computed(() => hand.nodes.toReversed());

interface Row extends HandNode {
  /** The group that begins with this row. */
  begins?: string;
}
const rows = computed((): Row[] => {
  const seen = new Set<string>();
  return all.value.map((one): Row => {
    const { group } = one.node;
    if (group === undefined || seen.has(group)) return one;
    seen.add(group);
    return { ...one, begins: group };
  });
});

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

const dragged = ref<string>();
const over = ref<string>();
/** What is dropped on a row comes to lie right in front of it. */
function drop(onto: string): void {
  if (dragged.value && dragged.value !== onto) hand.order(dragged.value, onto);
  dragged.value = over.value = undefined;
}
function move(id: string, by: 1 | -1): void {
  const ids = hand.nodes.map((one) => one.id);
  const at = ids.indexOf(id);
  hand.order(id, by > 0 ? ids[at + 1] : ids[at - 2]);
}
</script>

<template>
  <section aria-label="Everything on this size">
    <h3>Everything here</h3>
    <ul>
      <template v-for="{ id, name, node, local, begins } in rows" :key="id">
        <li v-if="begins" class="group">
          <TextField
            size="small"
            label="Name of the group"
            :model-value="begins"
            @change="hand.renameGroup(begins, $event)"
          />
          <NButton
            quaternary
            size="small"
            :aria-label="`Select all of ${begins}`"
            @click="hand.select(hand.members([id]))"
          >
            All
          </NButton>
        </li>
        <li
          :class="{ inside: node.group, over: over === id }"
          :draggable="hand.isLead"
          @dragstart="dragged = id"
          @dragend="dragged = over = undefined"
          @dragover.prevent="over = id"
          @drop.prevent="drop(id)"
          @keydown.alt.up.prevent.stop="move(id, 1)"
          @keydown.alt.down.prevent.stop="move(id, -1)"
        >
          <GripVertical v-if="hand.isLead" class="grip" :size="14" aria-hidden="true" />
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
          <NButton quaternary size="small" :aria-label="`Hide ${name}`" @click="hand.hide(id)">
            <Eye :size="14" aria-hidden="true" />
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
      </template>
      <li v-for="node in hidden" :key="node.id">
        <span class="quiet name out">{{ nodeName(node) }}</span>
        <NButton
          quaternary
          size="small"
          :aria-label="`Show ${nodeName(node)}`"
          @click="hand.unhide(node.id)"
        >
          <EyeOff :size="14" aria-hidden="true" />
        </NButton>
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
  border-top: 2px solid transparent;
}

li.over {
  border-top-color: var(--zest);
}

.group {
  gap: 4px;
  padding: 6px 0 2px;
}

.inside {
  margin-left: 10px;
  padding-left: 6px;
  border-left: 2px solid var(--line);
}

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

.out {
  padding: 0 10px;
  font-size: 13px;
  text-decoration: line-through;
}

.local {
  margin-left: 6px;
  color: var(--leaf);
  font-size: 12px;
}
</style>
