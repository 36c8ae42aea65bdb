<script setup lang="ts">
import { Copy, LayoutTemplate, ListTree, Plus, Smartphone, Stamp, Trash2 } from "@lucide/vue";
import { useLocalStorage } from "@vueuse/core";
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import {
  asStrip,
  isStrip,
  slideCount,
  slideIds,
  withModel,
  withNewSlide,
  withoutSlide,
  withSlideMoved,
} from "../../../core/strip";
import { counted } from "../../common/counted";
import SliderField from "../../ui/SliderField.vue";
import { usePiece } from "../piece";
import OutlineCard from "./OutlineCard.vue";
import PhonePreview from "./PhonePreview.vue";
import SetCard from "./SetCard.vue";
import SlideTile from "./SlideTile.vue";
import TellingLine from "./TellingLine.vue";

/** The slides of a strip side by side: picked, put in order by dragging or with Alt and the arrow keys, added and taken out. */
const open = usePiece();
const outlineShown = ref(false);
const phoneShown = ref(false);
const setsShown = ref(false);

const strip = computed(() => (open.whole && isStrip(open.whole) ? open.whole : undefined));
const lead = computed(() => open.placements.find(({ id }) => id === open.piece?.lead));
const slides = computed(() => (strip.value ? slideIds(strip.value) : []));
/** How high the slides stand, in CSS pixels; kept for the next strip. */
const HEIGHT = { least: 60, most: 360, step: 12 };
const height = useLocalStorage("strip-height", 108);
/** Nearer or farther with Ctrl and the wheel, as elsewhere. */
function zoom({ deltaY }: WheelEvent): void {
  const next = height.value - Math.sign(deltaY) * 2 * HEIGHT.step;
  height.value = Math.min(HEIGHT.most, Math.max(HEIGHT.least, next));
}
/** What a slide takes beside its own width: padding and the mark for dropping. */
const STEP = 4 + 3;
const width = computed(() =>
  lead.value ? Math.round((height.value * lead.value.width) / lead.value.height) : 0,
);

function add(copied: boolean): void {
  if (!open.whole) return;
  open.becomeWhole(withNewSlide(asStrip(open.whole), open.slide, copied));
  open.slide = open.slide + 1;
}
function takeOut(): void {
  if (!strip.value) return;
  const at = open.slide;
  open.becomeWhole(withoutSlide(strip.value, at));
  open.slide = Math.max(0, Math.min(at, slideCount(strip.value) - 2));
}

function model(): void {
  if (strip.value) open.becomeWhole(withModel(strip.value, open.slide));
}

const dragged = ref<number>();
const over = ref<number>();
function move(from: number, to: number): void {
  if (!strip.value || to < 0 || to >= slides.value.length) return;
  open.becomeWhole(withSlideMoved(strip.value, from, to));
  open.slide = to;
}
function drop(onto: number): void {
  if (dragged.value !== undefined) move(dragged.value, onto);
  dragged.value = over.value = undefined;
}
</script>

<template>
  <section v-if="strip && lead" class="strip" aria-label="Slides">
    <header>
      <h2>{{ counted(slides.length, "slide") }}</h2>
      <span class="space"></span>
      <NButton size="small" quaternary @click="outlineShown = true">
        <ListTree :size="15" aria-hidden="true" /> Outline
      </NButton>
      <NButton size="small" quaternary @click="phoneShown = true">
        <Smartphone :size="15" aria-hidden="true" /> On a phone
      </NButton>
      <NButton size="small" quaternary @click="setsShown = true">
        <LayoutTemplate :size="15" aria-hidden="true" /> Other sets
      </NButton>
      <NButton
        size="small"
        quaternary
        :disabled="open.slide === 0 || slides.length < 3"
        aria-label="Others like this"
        title="Give the other slides the arrangement and look of this one; their words stay"
        @click="model"
      >
        <Stamp :size="15" aria-hidden="true" />
      </NButton>
      <NButton size="small" quaternary title="Duplicate" aria-label="Duplicate" @click="add(true)">
        <Copy :size="15" aria-hidden="true" />
      </NButton>
      <NButton
        size="small"
        quaternary
        title="Take out"
        aria-label="Take out"
        :disabled="slides.length < 2"
        @click="takeOut"
      >
        <Trash2 :size="15" aria-hidden="true" />
      </NButton>
      <NButton size="small" @click="add(false)">
        <Plus :size="15" aria-hidden="true" /> Add slide
      </NButton>
    </header>
    <ol @wheel.ctrl.prevent="zoom">
      <li
        v-for="(id, index) in slides"
        :key="id"
        draggable="true"
        :class="{ over: over === index }"
        @dragstart="dragged = index"
        @dragend="dragged = over = undefined"
        @dragover.prevent="over = index"
        @drop.prevent="drop(index)"
        @keydown.alt.left.prevent.stop="move(index, index - 1)"
        @keydown.alt.right.prevent.stop="move(index, index + 1)"
      >
        <button
          :aria-current="index === open.slide ? 'true' : undefined"
          :aria-label="`Slide ${index + 1}`"
          @click="open.slide = index"
        >
          <SlideTile :index="index" :placement="lead" :width="width" tells />
          <span class="number">{{ index + 1 }}</span>
        </button>
      </li>
    </ol>
    <TellingLine :step="width + STEP">
      <SliderField
        v-model="height"
        class="size"
        label="How large the slides are"
        :min="HEIGHT.least"
        :max="HEIGHT.most"
        :step="HEIGHT.step"
      />
    </TellingLine>
    <SetCard v-model:shown="setsShown" />
    <OutlineCard v-model:shown="outlineShown" />
    <PhonePreview v-model:shown="phoneShown" />
  </section>
</template>

<style scoped>
.strip {
  padding: 12px 22px 10px;
  border-bottom: 1px solid var(--line);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
}

header .n-button {
  gap: 4px;
}

h2 {
  font-size: 15px;
}

.size {
  flex: none;
  width: 80px;
}

.space {
  flex: 1;
}

ol {
  display: flex;
  padding: 8px 2px 4px;
  margin: 0;
  overflow-x: auto;
  list-style: none;
}

li {
  flex: none;
  border-left: 3px solid transparent;
}

li.over {
  border-left-color: var(--zest);
}

li button {
  display: grid;
  gap: 2px;
  justify-items: center;
  padding: 3px 2px;
  border: 0;
  background: none;
  color: var(--quiet);
  font: inherit;
  font-size: 12px;
  cursor: pointer;
}

li button[aria-current] {
  color: var(--ink);
}

li button[aria-current] :deep(canvas) {
  outline: 3px solid var(--zest);
  outline-offset: 1px;
}
</style>
