<script setup lang="ts">
import { EyeOff } from "@lucide/vue";
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import TextField from "../../ui/TextField.vue";
import { usePiece } from "../piece";
import { nodeName } from "../../../core/wording/nodes";
import { useHand, type HandNode } from "./hand";
import NodeRow from "./NodeRow.vue";

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
        <NodeRow
          :id="id"
          :class="{ inside: node.group, over: over === id }"
          :name="name"
          :local="local"
          :locked="node.locked ?? false"
          :selected="hand.selected.includes(id)"
          :draggable="hand.isLead"
          @hold="dragged = id"
          @release="dragged = over = undefined"
          @over="over = id"
          @dropped="drop(id)"
          @move="move(id, $event)"
        />
      </template>
      <li v-for="node in hidden" :key="node.id">
        <span class="quiet out">{{ nodeName(node) }}</span>
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

.out {
  flex: 1;
  min-width: 0;
  padding: 0 10px;
  font-size: 13px;
  text-decoration: line-through;
}
</style>
