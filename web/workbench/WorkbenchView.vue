<script setup lang="ts">
import { NButton } from "naive-ui";
import { useMediaQuery, useTitle } from "@vueuse/core";
import {
  computed,
  defineAsyncComponent,
  onBeforeUnmount,
  onMounted,
  provide,
  ref,
  watch,
} from "vue";
import { useRouter } from "vue-router";
import { wallKey } from "../wall/wall-key";
import VariationBanner from "./VariationBanner.vue";
import UnsavedBanner from "./UnsavedBanner.vue";
import LedgerPanel from "./LedgerPanel.vue";
import MessageStep from "./message/MessageStep.vue";
import MessageSheet from "./message/MessageSheet.vue";
import ShortcutList from "./ShortcutList.vue";
import TopBar from "./TopBar.vue";
import { steps, type Step } from "../router";
import LookStep from "./look/LookStep.vue";
import PreflightStep from "./preflight/PreflightStep.vue";
import SlideStrip from "./slides/SlideStrip.vue";
import SizesStep from "./sizes/SizesStep.vue";
import { useBench } from "./bench";
import { useLibrary } from "../common/library";
import { useHand } from "./hand/hand";
import { usePiece } from "./piece";
import { useWall } from "../wall/use-wall";
import { useShortcuts } from "./use-shortcuts";
import LinkButton from "../ui/LinkButton.vue";

const props = defineProps<{ id: string; step: Step }>();

/** Steps that nobody begins with: loaded when the others are there, so that they open at once, also without the server. */
const LATE = {
  batch: () => import("./batch/BatchStep.vue"),
  deliver: () => import("./deliver/DeliverStep.vue"),
};
const BatchStep = defineAsyncComponent(LATE.batch);
const DeliverStep = defineAsyncComponent(LATE.deliver);
onMounted(() => {
  // What could not be loaded now is asked for again when it is opened.
  void Promise.allSettled([LATE.batch(), LATE.deliver()]);
});

const library = useLibrary();
const open = usePiece();
const bench = useBench();
const hand = useHand();
const router = useRouter();

const wall = useWall({
  piece: () => (bench.showBefore && open.before) || (hand.rested ?? open.piece),
  brand: () => open.brand,
  reportsOn: () => open.placements,
  turn: () => (bench.largeOne ? "behind" : undefined),
});
provide(wallKey, wall);

watch(
  () => props.id,
  async (id) => {
    bench.reset();
    if (library.state !== "ready") await library.load();
    await open.open(id);
  },
  { immediate: true },
);
useTitle(() => (open.piece ? `${open.piece.title} – Zest Crate` : "Zest Crate"));
watch(wall.reports, (reports) => {
  if (!bench.showBefore)
    open.shown = Object.fromEntries([...reports].map(([id, { layout }]) => [id, layout]));
});
// Whoever goes on working sees what is worked on.
watch(
  () => open.piece,
  () => (bench.showBefore = false),
);
onBeforeUnmount(() => open.close());

const { listShown } = useShortcuts({
  go: (step) => void router.push({ name: "piece", params: { id: props.id, step } }),
});

/** Below this width, in CSS pixels, message and ledger are drawers over the wall. */
const narrow = useMediaQuery("(max-width: 899px)");
const DRAWERS = [
  { name: "message", title: "Message" },
  { name: "ledger", title: "Details" },
] as const;
const drawer = ref<"message" | "ledger">();
watch(
  () => props.step,
  () => (drawer.value = undefined),
);

/** Batch and delivery are about the whole strip. */
const showsSlides = computed(() => props.step !== "batch" && props.step !== "deliver");
const views = {
  message: MessageStep,
  look: LookStep,
  sizes: SizesStep,
  batch: BatchStep,
  preflight: PreflightStep,
  deliver: DeliverStep,
} satisfies Record<Step, unknown>;
const view = computed(() => views[props.step]);
const failed = computed(() => open.failure || (library.state === "failed" ? library.failure : ""));
</script>

<template>
  <div class="workbench">
    <TopBar :id="id" :step="step" :steps="steps" :reports="wall.reports.value" />
    <main v-if="failed" class="note">
      <h1>This piece cannot be opened</h1>
      <p>{{ failed }}</p>
      <p class="actions">
        <NButton @click="open.open(id)">Try again</NButton>
        <LinkButton to="/">Go to the crates</LinkButton>
      </p>
    </main>
    <main v-else-if="!open.piece || !open.brand" class="note quiet">Opening the piece …</main>
    <div v-else class="columns" :class="{ narrow }">
      <MessageSheet
        class="sheet"
        :class="{ open: drawer === 'message' }"
        :inert="narrow && drawer !== 'message'"
      />
      <main class="centre">
        <UnsavedBanner />
        <VariationBanner />
        <SlideStrip v-if="showsSlides" />
        <component :is="view" :step="step" />
      </main>
      <LedgerPanel
        class="ledger"
        :class="{ open: drawer === 'ledger' }"
        :inert="narrow && drawer !== 'ledger'"
        :step="step"
      />
      <template v-if="narrow">
        <div v-if="drawer" class="behind" @click="drawer = undefined"></div>
        <footer>
          <NButton
            v-for="{ name, title } in DRAWERS"
            :key="name"
            size="large"
            :aria-expanded="drawer === name"
            @click="drawer = drawer === name ? undefined : name"
          >
            {{ title }}
          </NButton>
        </footer>
      </template>
    </div>
    <ShortcutList v-model:shown="listShown" />
  </div>
</template>

<style scoped>
.workbench {
  display: grid;
  flex: 1;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
}

.columns {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr) 280px;
  min-height: 0;
}

/* What changes in one is not looked for in the others: halves what a frame takes while something is dragged. */
.columns > * {
  contain: layout paint;
}

.sheet,
.ledger {
  overflow-y: auto;
  background: var(--card);
}

.sheet {
  border-right: 1px solid var(--line);
}

.ledger {
  border-left: 1px solid var(--line);
}

.centre {
  min-width: 0;
  overflow: auto;
}

.narrow {
  grid-template-rows: minmax(0, 1fr) auto;
  grid-template-columns: minmax(0, 1fr);
}

.narrow .sheet,
.narrow .ledger {
  position: fixed;
  inset: auto 0 64px;
  z-index: 20;
  display: none;
  max-height: 70vh;
  border: 0;
  border-top: 1px solid var(--line);
  box-shadow: 0 -4px 16px var(--shade);
}

.narrow .open {
  display: block;
}

.behind {
  position: fixed;
  inset: 48px 0 64px;
  z-index: 10;
  background: var(--shade);
}

footer {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  height: 64px;
  padding: 10px 16px;
  border-top: 1px solid var(--line);
  background: var(--card);
}

footer .n-button {
  height: 44px;
}

.note {
  display: grid;
  align-content: start;
  gap: 8px;
  padding: 64px;
}

.actions {
  display: flex;
  gap: 8px;
}
</style>
