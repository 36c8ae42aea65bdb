<script setup lang="ts">
import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignEndHorizontal,
  AlignEndVertical,
  AlignHorizontalDistributeCenter,
  AlignStartHorizontal,
  AlignStartVertical,
  AlignVerticalDistributeCenter,
  BringToFront,
  Copy,
  Group,
  SendToBack,
  StretchHorizontal,
  Trash2,
  Ungroup,
} from "@lucide/vue";
import { NButton, NButtonGroup } from "naive-ui";
import { computed, type Component } from "vue";
import type { Side } from "../../../core/arranging";
import AddBar from "./add/AddBar.vue";
import { canHang, isStrip } from "../../../core/strip";
import { usePiece } from "../piece";
import { useHand } from "./hand";
import HandKeeps from "./HandKeeps.vue";
import HandPlace from "./HandPlace.vue";
import HandStyle from "./style/HandStyle.vue";
import NodeList from "./NodeList.vue";

/** In the ledger, while one size is worked on by hand: what is selected, where it stands, and all that is there. */
const hand = useHand();
const open = usePiece();

const one = computed(() => (hand.chosen.length === 1 ? hand.chosen[0] : undefined));
const areSeveral = computed(() => hand.boxes.size > 1);
/** Of a strip: what is selected may run on over the fold. */
const canRunOn = computed(
  () =>
    hand.isLead &&
    open.whole !== undefined &&
    isStrip(open.whole) &&
    one.value !== undefined &&
    canHang(one.value.node),
);
const SIDES: { side: Side; label: string; icon: Component }[] = [
  { side: "left", label: "Align left edges", icon: AlignStartVertical },
  { side: "centre", label: "Align centres", icon: AlignCenterVertical },
  { side: "right", label: "Align right edges", icon: AlignEndVertical },
  { side: "top", label: "Align top edges", icon: AlignStartHorizontal },
  { side: "middle", label: "Align middles", icon: AlignCenterHorizontal },
  { side: "bottom", label: "Align bottom edges", icon: AlignEndHorizontal },
];
const GAPS = [
  {
    axis: "x",
    label: "Gaps across",
    title: "Equal gaps from left to right",
    icon: AlignHorizontalDistributeCenter,
  },
  {
    axis: "y",
    label: "Gaps down",
    title: "Equal gaps from top to bottom",
    icon: AlignVerticalDistributeCenter,
  },
] as const;
</script>

<template>
  <section class="panel" aria-label="By hand">
    <p v-if="!hand.isLead" class="quiet small">
      Changes here are this size’s own. Work on the lead to change all sizes.
    </p>
    <AddBar v-if="hand.isLead" />
    <template v-if="hand.chosen.length > 0">
      <h3>{{ one?.name ?? `${hand.chosen.length} selected` }}</h3>
      <HandPlace v-if="one" />
      <NButtonGroup size="small" class="icons">
        <NButton
          v-for="{ side, label, icon } in SIDES"
          :key="side"
          :aria-label="label"
          :title="
            areSeveral ? label : `${label.replace(/ (edges|centres|middles)/, '')} in the margins`
          "
          @click="hand.align(side)"
        >
          <component :is="icon" :size="15" aria-hidden="true" />
        </NButton>
      </NButtonGroup>
      <div v-if="areSeveral" class="row">
        <NButton
          v-for="{ axis, label, title, icon } in GAPS"
          :key="axis"
          size="small"
          :disabled="hand.boxes.size < 3"
          :title="title"
          @click="hand.distribute(axis)"
        >
          <component :is="icon" :size="15" aria-hidden="true" /> {{ label }}
        </NButton>
        <NButton size="small" @click="hand.equal('width')">Same width</NButton>
        <NButton size="small" @click="hand.equal('height')">Same height</NButton>
      </div>
      <div v-if="hand.isLead" class="row">
        <NButton size="small" title="]" @click="hand.layer('front')">
          <BringToFront :size="15" aria-hidden="true" /> To front
        </NButton>
        <NButton size="small" title="[" @click="hand.layer('back')">
          <SendToBack :size="15" aria-hidden="true" /> To back
        </NButton>
        <NButton size="small" title="Ctrl + D" @click="hand.duplicate()">
          <Copy :size="15" aria-hidden="true" /> Duplicate
        </NButton>
        <NButton v-if="hand.chosen.length > 1" size="small" title="Ctrl + G" @click="hand.group()">
          <Group :size="15" aria-hidden="true" /> Group
        </NButton>
        <NButton
          v-if="hand.groups().length > 0"
          size="small"
          title="Ctrl + Shift + G"
          @click="hand.ungroup()"
        >
          <Ungroup :size="15" aria-hidden="true" /> Ungroup
        </NButton>
      </div>
      <div v-if="canRunOn" class="row">
        <NButton size="small" title="It runs on over the next slide" @click="hand.hang()">
          <StretchHorizontal :size="15" aria-hidden="true" /> Hang over the fold
        </NButton>
      </div>
      <HandStyle />
      <HandKeeps />
      <div class="row">
        <NButton
          v-if="hand.chosen.some(({ local }) => local)"
          size="small"
          @click="hand.giveBack()"
        >
          Back to how the lead has it
        </NButton>
        <NButton size="small" title="Delete" @click="hand.remove()">
          <Trash2 :size="15" aria-hidden="true" />
          {{ hand.isLead ? "Take out" : "Hide on this size" }}
        </NButton>
      </div>
    </template>
    <p v-else class="quiet small">
      Press something to select it, drag to move it. Press again for what lies below; double-click
      to write, or to move a picture in its frame.
    </p>
    <NodeList />
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  gap: 12px;
  padding: 14px 0;
  border-bottom: 1px solid var(--line);
}

.icons {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
}

.icons .n-button {
  padding: 0;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.row .n-button {
  gap: 4px;
}
</style>
