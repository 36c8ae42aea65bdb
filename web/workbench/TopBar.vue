<script setup lang="ts">
import { NButton } from "naive-ui";
import { Redo2, Undo2 } from "@lucide/vue";
import { watchDebounced } from "@vueuse/core";
import { computed, ref } from "vue";
import { toAct, type LayoutReport } from "../../core/preflight";
import type { Step } from "../router";
import { usePiece } from "./piece";
import { useSlideReports } from "./slides/slide-reports";
import { counted } from "../common/counted";
import BrandMark from "../common/BrandMark.vue";
import HistoryList from "./HistoryList.vue";
import TitleField from "./TitleField.vue";

const props = defineProps<{
  id: string;
  step: Step;
  steps: readonly Step[];
  reports: ReadonlyMap<string, LayoutReport>;
}>();

const open = usePiece();
const slides = useSlideReports();

const names: Record<Step, string> = {
  message: "Message",
  look: "Look",
  sizes: "Sizes",
  batch: "Batch",
  preflight: "Preflight",
  deliver: "Deliver",
};
/** Of a strip on all its slides. */
const toLookAt = computed(() => {
  const others = slides.others.flatMap(({ id }) => [...(slides.of(id)?.values() ?? [])]);
  return toAct([...props.reports.values(), ...others].flatMap((report) => report.findings));
});
const mustFix = computed(() => toLookAt.value.some((finding) => finding.level === "must-fix"));
const sizes = computed(() => open.piece?.sizes.length ?? 0);

/** Said aloud when it has come to rest, and only when it is another number than before. */
const announced = ref("");
watchDebounced(
  () => toLookAt.value.length,
  (count) => (announced.value = `Preflight: ${counted(count, "finding")}`),
  { debounce: 1200 },
);

const states = {
  saved: "Saved",
  saving: "Saving …",
  waiting: "Not saved yet; it is tried again",
  stuck: "Not saved",
} as const;

/** What a press takes back or makes again, by name. */
const stepTitle = (word: string, step: string | undefined, keys: string): string =>
  `${word}${step ? `: ${step}` : ""} (${keys})`;
</script>

<template>
  <header class="bar">
    <RouterLink class="home" to="/" aria-label="Crates"><BrandMark :size="20" /></RouterLink>
    <h1 class="hidden-name">{{ open.piece?.title ?? "Opening a piece" }}</h1>
    <p class="names">
      <RouterLink
        class="crate"
        :to="open.crate.id ? { name: 'crate', params: { id: open.crate.id } } : '/'"
        >{{ open.crate.name }}</RouterLink
      >
      <span class="quiet" aria-hidden="true">/</span>
      <TitleField v-if="open.piece" />
    </p>
    <nav aria-label="Steps">
      <RouterLink
        v-for="name in steps"
        :key="name"
        :to="{ name: 'piece', params: { id, step: name } }"
        :aria-current="name === step ? 'step' : undefined"
        :class="{ current: name === step }"
      >
        {{ names[name] }}
        <span v-if="name === 'sizes' && sizes" class="count number">{{ sizes }}</span>
        <span
          v-if="name === 'preflight' && toLookAt.length"
          class="findings number"
          :class="{ must: mustFix }"
          :aria-label="`${toLookAt.length} findings`"
          >{{ toLookAt.length }}</span
        >
      </RouterLink>
    </nav>
    <p class="hidden-name" role="status">{{ announced }}</p>
    <div class="right">
      <span
        class="quiet small state"
        :class="{ unsaved: open.saving === 'waiting' || open.saving === 'stuck' }"
        role="status"
        :title="open.waitsFor"
        >{{ open.piece ? states[open.saving] : "" }}</span
      >
      <NButton
        quaternary
        aria-label="Undo"
        :title="stepTitle('Undo', open.undoes, 'Ctrl+Z')"
        :disabled="!open.undoes"
        @click="open.undo()"
      >
        <Undo2 :size="18" aria-hidden="true" />
      </NButton>
      <NButton
        quaternary
        aria-label="Redo"
        :title="stepTitle('Redo', open.redoes, 'Ctrl+Shift+Z')"
        :disabled="!open.redoes"
        @click="open.redo()"
      >
        <Redo2 :size="18" aria-hidden="true" />
      </NButton>
      <HistoryList />
    </div>
  </header>
</template>

<style scoped>
.bar {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto minmax(0, 1fr);
  align-items: center;
  height: 48px;
  padding: 0 16px;
  border-bottom: 1px solid var(--line);
}

.home {
  display: grid;
  padding-right: 16px;
}

.names {
  display: flex;
  gap: 6px;
  align-items: center;
  min-width: 0;
  white-space: nowrap;
}

.crate {
  overflow: hidden;
  color: var(--quiet);
  text-decoration: none;
  text-overflow: ellipsis;
}

nav {
  display: flex;
  align-self: stretch;
}

nav a {
  display: flex;
  gap: 6px;
  align-items: center;
  padding: 3px 14px 0;
  border-bottom: 3px solid transparent;
  color: var(--quiet);
  font-weight: 500;
  text-decoration: none;
}

nav a.current {
  border-color: var(--zest);
  color: var(--ink);
  font-weight: 650;
}

.count {
  color: var(--quiet);
  font-size: 12px;
}

.findings {
  min-width: 20px;
  padding: 0 6px;
  border-radius: 10px;
  background: var(--lemon-tint);
  color: var(--lemon-ink);
  font-size: 12px;
  line-height: 20px;
  text-align: center;
}

.findings.must {
  background: var(--berry-tint);
  color: var(--berry);
}

.right {
  display: flex;
  gap: 4px;
  align-items: center;
  justify-content: flex-end;
}

.state {
  padding-right: 8px;
  text-align: right;
}

.unsaved {
  color: var(--berry);
}

@media (max-width: 899px) {
  .bar {
    grid-template-columns: auto minmax(0, 1fr) auto;
  }

  .names .crate,
  .names > .quiet,
  .state:not(.unsaved) {
    display: none;
  }

  .home {
    padding-right: 8px;
  }

  nav {
    grid-row: 2;
    grid-column: 1 / -1;
    margin: 0 -16px;
    overflow-x: auto;
    border-top: 1px solid var(--line);
  }

  nav a {
    flex: none;
    min-height: 44px;
  }

  .bar {
    grid-template-rows: 48px auto;
    height: auto;
  }
}
</style>
