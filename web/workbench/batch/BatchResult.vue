<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref, shallowRef, watch } from "vue";
import type { BatchAnswer, VariationAnswer } from "../../../core/api";
import { api } from "../../api/client";
import { counted } from "../../common/counted";
import OutdatedFiles from "../../common/OutdatedFiles.vue";
import { thumbnailOf } from "../../common/thumbnails";
import { BATCH_TURNS, batchTurns, JOB_STATES, type BatchTurn } from "../../common/job-states";
import LinkButton from "../../ui/LinkButton.vue";
import { usePiece } from "../piece";

/** One batch: how far it is, and its variations side by side as they are made. */
const props = defineProps<{ batch: BatchAnswer }>();
const emit = defineEmits<{ turn: [to: BatchTurn | "again"]; remove: [] }>();

const open = usePiece();
/** So many are shown here; all of them are on the contact sheet. */
const SHOWN = 12;
const placement = ref(props.batch.placements[0] ?? "");
const variations = shallowRef<VariationAnswer[]>([]);

const share = computed(() => (100 * props.batch.made) / Math.max(1, props.batch.files));
const placementNamed = (id: string) => open.placements.find((one) => one.id === id);
const shape = computed(() => placementNamed(placement.value));
const tileWidth = computed(() => {
  const p = shape.value;
  return p ? Math.round(Math.min(300, Math.sqrt((22_000 * p.width) / p.height))) : 150;
});
const started = computed(() =>
  new Date(props.batch.started).toLocaleString(undefined, {
    dateStyle: "medium",
    timeStyle: "medium",
  }),
);
const turns = computed(() => batchTurns(props.batch.state));
const left = computed(() => {
  const seconds = props.batch.secondsLeft;
  if (seconds === undefined || props.batch.state !== "running") return "";
  return seconds < 90 ? `about ${seconds} s left` : `about ${Math.round(seconds / 60)} min left`;
});

watch(
  () => props.batch.made,
  async () => {
    const answer = await api.variations(props.batch.id, 0, SHOWN).catch(() => undefined);
    if (answer) variations.value = answer.variations;
  },
  { immediate: true },
);

const outputOf = (variation: VariationAnswer) =>
  variation.outputs.find((output) => output.placement === placement.value);
const wordsOf = (variation: VariationAnswer): string => Object.values(variation.values).join(" · ");
</script>

<template>
  <section class="result" :aria-label="`Batch of ${started}`">
    <header>
      <h3>{{ batch.variations }} variations, {{ JOB_STATES[batch.state] }}</h3>
      <span class="quiet small">{{ started }}</span>
      <span class="space"></span>
      <span class="number small" role="status"
        >{{ batch.made }} of {{ batch.files }} files {{ left }}</span
      >
      <LinkButton
        v-if="batch.made"
        :to="{ name: 'batch', params: { id: batch.id } }"
        size="small"
        main
      >
        Choose among them
      </LinkButton>
      <NButton v-for="turn in turns" :key="turn" size="small" @click="emit('turn', turn)">{{
        BATCH_TURNS[turn]
      }}</NButton>
      <NButton
        v-if="!turns.includes('cancel')"
        quaternary
        type="primary"
        size="small"
        title="It can be brought back for 30 days"
        @click="emit('remove')"
        >Delete</NButton
      >
    </header>
    <div
      v-if="batch.state === 'running' || batch.state === 'paused'"
      class="progress"
      role="progressbar"
      :aria-valuenow="Math.round(share)"
      aria-valuemin="0"
      aria-valuemax="100"
      aria-label="Files made"
    >
      <i :style="{ width: `${share}%` }"></i>
    </div>
    <OutdatedFiles :batch="batch" @again="emit('turn', 'again')" />
    <p v-if="batch.apart" class="small quiet">
      {{ counted(batch.apart, "file") }} with words that did not fit in the layout of the others
      {{ batch.apart === 1 ? "is" : "are" }} laid out by
      {{ batch.apart === 1 ? "itself" : "themselves" }}.
    </p>
    <p v-if="batch.failed" class="small failed">
      {{ counted(batch.failed, "file") }} could not be made. {{ batch.message }} The others are
      finished.
    </p>
    <p v-else-if="batch.message" class="small failed">{{ batch.message }}</p>
    <div v-if="batch.placements.length > 1" class="tabs" role="group" aria-label="Size shown">
      <NButton
        v-for="id in batch.placements"
        :key="id"
        quaternary
        :class="{ current: id === placement }"
        :aria-pressed="id === placement"
        @click="placement = id"
      >
        {{ placementNamed(id)?.name ?? id }}
      </NButton>
    </div>
    <div class="sheet">
      <figure
        v-for="variation in variations"
        :key="variation.index"
        :style="{ width: `${tileWidth}px` }"
      >
        <a v-if="outputOf(variation)" :href="outputOf(variation)!.url" target="_blank">
          <img
            :src="thumbnailOf(outputOf(variation)!.url, tileWidth)"
            :alt="wordsOf(variation)"
            :width="tileWidth"
            :height="shape ? Math.round((tileWidth * shape.height) / shape.width) : undefined"
            loading="lazy"
          />
        </a>
        <div
          v-else
          class="waiting"
          :style="{ aspectRatio: shape ? `${shape.width} / ${shape.height}` : '1' }"
        ></div>
        <figcaption>
          <span class="number quiet">{{ variation.name }}</span>
          {{ wordsOf(variation) }}
          <span v-if="outputOf(variation)?.findings" class="look number"
            >{{ outputOf(variation)!.findings }} to look at</span
          >
        </figcaption>
      </figure>
    </div>
  </section>
</template>

<style scoped>
.result {
  display: grid;
  gap: 12px;
  padding-top: 16px;
  border-top: 1px solid var(--line);
}

header {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 32px;
}

.space {
  flex: 1;
}

.progress {
  height: 4px;
  background: var(--line);
}

.progress i {
  display: block;
  height: 100%;
  background: var(--zest);
}

.failed {
  color: var(--berry);
}

.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}

.tabs .current {
  border-color: var(--line-strong);
  color: var(--ink);
}

.sheet {
  display: flex;
  flex-wrap: wrap;
  gap: 20px 16px;
}

figure {
  margin: 0;
}

img,
.waiting {
  display: block;
  width: 100%;
}

.waiting {
  border: 1px dashed var(--line-strong);
}

figcaption {
  display: -webkit-box;
  padding-top: 6px;
  overflow: hidden;
  font-size: 12.5px;
  line-height: 1.35;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
}

.look {
  color: var(--lemon-ink);
}
</style>
