<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed } from "vue";
import { onBrand } from "../../../core/piece";
import { withEachSlide } from "../../../core/strip";
import { fineKey, type Finding } from "../../../core/preflight";
import { wordingOf } from "../../../core/wording/findings";
import { usePiece } from "../piece";

/** A finding in words; it can be pointed at on its size. */
const props = defineProps<{ finding: Finding; placement?: string; pointed?: boolean }>();
const emit = defineEmits<{ point: [] }>();

const open = usePiece();

/** Sets it right everywhere in the piece; one step of undo brings it back. */
function mend({ from, to }: NonNullable<Finding["mend"]>): void {
  if (!open.whole) return;
  const mended = withEachSlide(open.whole, (slide) => ({ ...slide, ...onBrand(slide, from, to) }));
  open.becomeWhole(mended, "mend");
}

/** For good: it is not told again of this size, until it is taken back by undo. */
function callFine(placement: string): void {
  open.set(["fine"], [...(open.piece?.fine ?? []), fineKey(placement, props.finding)]);
}

const words = computed(() => wordingOf(props.finding));
const levels = { "must-fix": "Must fix", "look-again": "Look again", note: "Note" } as const;
</script>

<template>
  <section class="finding">
    <h3>
      <svg
        width="12"
        height="12"
        viewBox="0 0 12 12"
        role="img"
        :class="finding.level"
        :aria-label="levels[finding.level]"
      >
        <path d="M6 0l6 6-6 6-6-6z" />
      </svg>
      {{ words.title }}
    </h3>
    <p class="quiet">{{ words.text }}</p>
    <NButton v-if="finding.mend" @click="mend(finding.mend)"> Use {{ finding.mend.name }} </NButton>
    <NButton v-if="placement && finding.level !== 'must-fix'" @click="callFine(placement)">
      It’s fine
    </NButton>
    <NButton v-if="finding.node" :aria-pressed="pointed" @click="emit('point')">
      {{ pointed ? "Hide" : "Show where" }}
    </NButton>
  </section>
</template>

<style scoped>
.finding {
  display: grid;
  gap: 6px;
  justify-items: start;
  padding: 14px 0;
  border-bottom: 1px solid var(--line);
  font-size: 13px;
}

h3 {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 13.5px;
}

svg {
  flex: none;
}

.must-fix {
  fill: var(--berry);
}

.look-again {
  fill: var(--lemon);
}

.note {
  fill: var(--line-strong);
}
</style>
