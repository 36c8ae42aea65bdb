<script setup lang="ts">
import { Star } from "@lucide/vue";
import { computed } from "vue";
import type { SheetVariation } from "../../core/api";
import { useChoosing } from "./choosing";
import { thumbnailOf } from "../common/thumbnails";
import { VERDICTS } from "./verdicts";

/** One variation on the contact sheet: its graphic, its name, what is decided of it. A bare button, since it is a picture to be picked. */
const props = defineProps<{
  variation: SheetVariation;
  /** CSS pixels; the graphic keeps its sides within them. */
  width: number;
  height: number;
}>();

const choosing = useChoosing();
const isCurrent = computed(() => choosing.current === props.variation.index);
const isCompared = computed(() => choosing.compared.includes(props.variation.index));
const isFront = computed(() => choosing.front.has(props.variation.index));
const said = computed(() => choosing.saidOf(props.variation));
const verdict = computed(() => props.variation.verdict && VERDICTS[props.variation.verdict]);
const words = computed(() => Object.values(props.variation.values).join(", "));

function pick(event: MouseEvent): void {
  choosing.current = props.variation.index;
  if (event.ctrlKey || event.metaKey || event.shiftKey) choosing.compare(props.variation.index);
}
</script>

<template>
  <button
    class="tile"
    :class="[{ current: isCurrent, compared: isCompared }, variation.verdict]"
    :style="{ width: `${width}px` }"
    :aria-pressed="isCurrent"
    :aria-label="`${variation.name}: ${words}${verdict ? `, ${verdict.said}` : ''}`"
    :title="words"
    @click="pick"
  >
    <img
      v-if="variation.output"
      :src="thumbnailOf(variation.output.url, width)"
      :style="{ width: `${width}px`, height: `${height}px` }"
      alt=""
      loading="lazy"
    />
    <span v-else class="waiting" :style="{ width: `${width}px`, height: `${height}px` }"></span>
    <span class="foot">
      <span class="number name">{{ variation.name }}</span>
      <Star v-if="isFront" :size="13" class="front" aria-label="Front-runner" />
      <span v-if="said" class="number said">{{ said }}</span>
      <component :is="verdict.icon" v-if="verdict" :size="15" class="verdict" aria-hidden="true" />
    </span>
  </button>
</template>

<style scoped>
.tile {
  display: block;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.tile img,
.waiting {
  display: block;
  object-fit: contain;
}

.waiting {
  border: 1px dashed var(--line-strong);
}

.current img {
  outline: 3px solid var(--zest);
  outline-offset: 2px;
}

.compared img {
  outline: 3px dashed var(--ink);
  outline-offset: 2px;
}

.drop img {
  opacity: 0.28;
}

.foot {
  display: flex;
  gap: 6px;
  align-items: center;
  height: 26px;
  font-size: 12px;
}

.front {
  color: var(--lemon-ink);
}

.said {
  overflow: hidden;
  color: var(--quiet);
  text-overflow: ellipsis;
  white-space: nowrap;
}

.verdict {
  margin-left: auto;
}

.keep .verdict {
  color: var(--leaf-ink, var(--ink));
}

.drop .verdict {
  color: var(--berry);
}
</style>
