<script setup lang="ts">
import { computed } from "vue";
import { SlideRole } from "../../../core/piece";
import { missingStages, STAGE_OF, stripRoles, type Stage } from "../../../core/strip";
import SelectField from "../../ui/SelectField.vue";
import { asOptions } from "../../ui/options";
import { listed } from "../../common/counted";
import { usePiece } from "../piece";

/** What the slides do in the order of a telling, over them; and what a longer one does without. `step` is the width of a slide. */
const props = defineProps<{ step: number }>();
const open = usePiece();

const NAMES: Record<Stage, string> = {
  attention: "Attention",
  interest: "Interest",
  desire: "Desire",
  action: "Action",
};
const HINTS: Record<Stage, string> = {
  attention: "no title that catches the eye",
  interest: "nothing that says what it is about",
  desire: "no proof, such as a figure or somebody’s words",
  action: "nothing to do at the end",
};

const roles = computed(() => (open.whole ? stripRoles(open.whole) : []));
/** Neighbours of one stage together. */
const runs = computed(() => {
  const found: { stage: Stage; count: number }[] = [];
  for (const role of roles.value) {
    const stage = STAGE_OF[role];
    const last = found.at(-1);
    if (last?.stage === stage) last.count++;
    else found.push({ stage, count: 1 });
  }
  return found;
});
const missing = computed(() =>
  (open.whole ? missingStages(open.whole) : []).map((stage) => HINTS[stage]),
);

const OPTIONS = asOptions(SlideRole.options.filter((role) => role !== "title"));
const role = computed(() => roles.value[open.slide]);
function choose(next: SlideRole | undefined): void {
  const { whole, slide } = open;
  if (!whole?.slides || !next) return;
  const slides = whole.slides.map((one, index) =>
    index === slide - 1 ? { ...one, role: next } : one,
  );
  open.becomeWhole({ ...whole, slides });
}
</script>

<template>
  <div class="telling">
    <ol aria-label="Order of the telling">
      <li
        v-for="({ stage, count }, index) in runs"
        :key="index"
        :class="stage"
        :style="{ width: `${count * props.step}px` }"
      >
        {{ NAMES[stage] }}
      </li>
    </ol>
    <div class="foot quiet small">
      <label v-if="open.slide > 0" class="role">
        This slide is a
        <SelectField
          :model-value="role"
          label="What this slide does"
          size="small"
          :options="OPTIONS"
          @update:model-value="choose($event as SlideRole)"
        />
      </label>
      <span v-if="missing.length > 0">Missing: {{ listed(missing) }}.</span>
      <span class="space"></span>
      <slot />
    </div>
  </div>
</template>

<style scoped>
ol {
  display: flex;
  padding: 0 0 0 2px;
  margin: 0;
  list-style: none;
}

li {
  flex: none;
  padding: 3px 6px 0;
  margin-right: 3px;
  overflow: hidden;
  border-top: 3px solid var(--line-strong);
  color: var(--quiet);
  font-size: 12px;
  text-overflow: ellipsis;
  white-space: nowrap;
}

li.attention,
li.action {
  border-top-color: var(--zest);
}

li.desire {
  border-top-color: var(--leaf);
}

.foot {
  display: flex;
  gap: 16px;
  align-items: center;
  min-height: 28px;
}

.space {
  flex: 1;
}

.role {
  display: flex;
  flex: none;
  gap: 8px;
  align-items: center;
}

.role > :last-child {
  width: 130px;
}
</style>
