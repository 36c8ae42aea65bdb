<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import { altText } from "../../core/api";
import { slotName } from "../../core/message";
import { followingAgain, isLocal } from "../../core/piece";
import { toAct } from "../../core/preflight";
import { layoutName } from "../../core/wording/layouts";
import type { Step } from "../router";
import { useBench } from "./bench";
import { usePiece } from "./piece";
import { useSharedWall } from "../wall/wall-key";
import { counted } from "../common/counted";
import FindingCard from "./preflight/FindingCard.vue";
import HandPanel from "./hand/HandPanel.vue";
import LayoutPicker from "./sizes/LayoutPicker.vue";
import LeadChange from "./sizes/LeadChange.vue";
import SetPanel from "./SetPanel.vue";
import PicturePanel from "./sizes/PicturePanel.vue";
import RunningPanel from "./slides/RunningPanel.vue";

/** What was found about the selected size, and the few facts that fit it. */
const props = defineProps<{ step: Step }>();

const open = usePiece();
const bench = useBench();
const wall = useSharedWall();

const placement = computed(() => open.placements.find(({ id }) => id === bench.current));
const report = computed(() => wall.reports.value.get(bench.current ?? ""));
const findings = computed(() => toAct(report.value?.findings ?? []));
/** The message's words that this size has no room for, by name. */
const leftOut = computed(() => {
  const { slots = [], shown = [] } = report.value ?? {};
  return slots
    .filter((slot) => !shown.includes(slot))
    .map((slot) => slotName(slot).toLowerCase())
    .join(", ");
});
const headline = computed(() => report.value?.nodes.find((node) => node.role === "headline"));
const read = computed(() => (open.piece ? altText(open.piece) : ""));
const picking = ref(false);
const leading = ref(false);
const isLead = computed(() => open.piece?.lead === placement.value?.id);
const changed = computed(() =>
  open.piece?.sizes.some((size) => size.placement === placement.value?.id && isLocal(size)),
);

/** The size follows the message and the arrangement again. */
function giveBack(): void {
  if (open.piece) open.become(followingAgain(open.piece, placement.value!.id), "give-back");
}

const showsSize = computed(() => !["batch", "deliver", "look"].includes(props.step));
</script>

<template>
  <aside aria-label="Ledger">
    <template v-if="showsSize && placement">
      <header>
        <h2>{{ placement.name }}</h2>
        <p class="quiet number small">{{ placement.width }} × {{ placement.height }}</p>
        <p v-if="placement.note" class="quiet small">{{ placement.note }}</p>
      </header>
      <HandPanel v-if="bench.large" />
      <FindingCard
        v-for="(finding, index) in findings"
        :key="index"
        :finding="finding"
        :placement="placement.id"
        :pointed="bench.pointed !== undefined && bench.pointed === finding.node"
        @point="bench.pointed = bench.pointed === finding.node ? undefined : finding.node"
      />
      <dl v-if="report">
        <template v-if="headline?.fontSize">
          <dt>Headline</dt>
          <dd class="number">
            {{ Math.round(headline.fontSize) }} px,
            {{ counted(headline.lines?.length ?? 0, "line") }}
          </dd>
        </template>
        <template v-if="headline?.contrast">
          <dt>Contrast, headline</dt>
          <dd class="number">{{ headline.contrast.toFixed(1) }} : 1</dd>
        </template>
        <dt>Smallest readable</dt>
        <dd class="number">{{ Math.ceil(report.floor) }} px</dd>
        <dt>Layout</dt>
        <dd>{{ layoutName(report.layout) }}</dd>
        <template v-if="leftOut">
          <dt>Left out</dt>
          <dd>{{ leftOut }}</dd>
        </template>
      </dl>
      <section v-if="open.piece" class="actions" aria-label="This size">
        <NButton @click="picking = true">Other layouts</NButton>
        <NButton v-if="!isLead" @click="leading = true">Make it the lead</NButton>
        <NButton v-if="changed" @click="giveBack"> Follow the lead again </NButton>
      </section>
      <SetPanel :report="report" />
      <PicturePanel :placement="placement" />
      <RunningPanel v-if="step === 'message'" />
      <LayoutPicker v-model:shown="picking" :placement="placement" />
      <LeadChange v-model:shown="leading" :placement="placement" />
    </template>
    <section v-if="step === 'message'" class="read">
      <h3>Reading order</h3>
      <p>{{ read }}</p>
    </section>
    <div id="ledger-step"></div>
  </aside>
</template>

<style scoped>
aside {
  padding: 16px 20px 32px;
}

header {
  display: grid;
  gap: 2px;
  padding-bottom: 14px;
  border-bottom: 1px solid var(--line);
}

h2 {
  font-size: 16px;
}

dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 16px;
  padding: 14px 0;
  margin: 0;
  font-size: 13px;
}

dt {
  color: var(--quiet);
}

dd {
  margin: 0;
  text-align: right;
}

.actions {
  display: grid;
  gap: 8px;
  padding: 14px 0;
  border-top: 1px solid var(--line);
}

.read {
  display: grid;
  gap: 4px;
  padding-top: 14px;
  border-top: 1px solid var(--line);
  font-size: 13px;
}
</style>
