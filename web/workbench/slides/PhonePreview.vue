<script setup lang="ts">
import { useElementSize, useScroll } from "@vueuse/core";
import { computed, useTemplateRef } from "vue";
import { slideOf, slidesFor } from "../../../core/strip";
import { altText } from "../../../core/api";
import DialogCard from "../../common/DialogCard.vue";
import { usePiece } from "../piece";
import SlideTile from "./SlideTile.vue";
import { useMouseSwipe } from "./use-mouse-swipe";

/** The strip as it is seen on a phone: swiped slide by slide, with dots; and what it says, in order. */
const shown = defineModel<boolean>("shown", { required: true });
const open = usePiece();

const lead = computed(() => open.placements.find(({ id }) => id === open.piece?.lead));
const slides = computed(() => (open.whole && lead.value ? slidesFor(open.whole, lead.value) : []));
/** A common phone's width in CSS pixels. */
const WIDTH = 390;
const swiped = useTemplateRef("swiped");
const { x } = useScroll(swiped);
const { isLoose } = useMouseSwipe(swiped, WIDTH);
const { width } = useElementSize(swiped);
const at = computed(() => Math.round(x.value / Math.max(1, width.value)));
const words = computed(() =>
  slides.value.map((index) => (open.whole ? altText(slideOf(open.whole, index)) : "")),
);
/** The first and the last slide, side by side. */
const SMALL = 96;
const ends = computed(() =>
  slides.value.length > 1 ? [slides.value[0]!, slides.value.at(-1)!] : [],
);
/** The title as the channel crops it where it shows all pieces. */
const crop = computed(() => {
  const [first] = lead.value?.crops ?? [];
  if (!lead.value || !first) return undefined;
  const scale = SMALL / first.width;
  return {
    name: first.name,
    width: Math.round(scale * lead.value.width),
    frame: { width: `${SMALL}px`, height: `${Math.round(scale * first.height)}px` },
    shift: { transform: `translate(${-scale * first.x}px, ${-scale * first.y}px)` },
  };
});

function go(to: number): void {
  swiped.value?.scrollTo({ left: to * WIDTH, behavior: "smooth" });
}
</script>

<template>
  <DialogCard v-model:shown="shown" title="On a phone" :width="820">
    <div v-if="lead" class="columns">
      <div class="phone">
        <div
          ref="swiped"
          class="swiped"
          :class="{ loose: isLoose }"
          tabindex="0"
          role="group"
          aria-label="Swipe through the slides"
        >
          <div v-for="index in slides" :key="index" class="slide">
            <SlideTile :index="index" :placement="lead" :width="WIDTH" />
          </div>
        </div>
        <div class="dots" role="group" aria-label="Slides">
          <button
            v-for="(index, place) in slides"
            :key="index"
            :aria-label="`Slide ${index + 1}`"
            :aria-current="place === at ? 'true' : undefined"
            @click="go(place)"
          ></button>
        </div>
      </div>
      <div class="beside">
        <ol class="words">
          <li v-for="(text, index) in words" :key="index" :class="{ now: index === at }">
            {{ text }}
          </li>
        </ol>
        <div class="row">
          <figure v-if="crop">
            <div class="crop" :style="crop.frame">
              <div :style="crop.shift">
                <SlideTile :index="0" :placement="lead" :width="crop.width" />
              </div>
            </div>
            <figcaption class="quiet small">In the {{ crop.name }}</figcaption>
          </figure>
          <figure v-for="index in ends" :key="index">
            <SlideTile :index="index" :placement="lead" :width="SMALL" />
            <figcaption class="quiet small">{{ index === 0 ? "First" : "Last" }}</figcaption>
          </figure>
        </div>
      </div>
    </div>
  </DialogCard>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: 390px minmax(0, 1fr);
  gap: 28px;
}

.swiped {
  display: flex;
  width: 390px;
  overflow-x: auto;
  scroll-snap-type: x mandatory;
  scrollbar-width: none;
  cursor: grab;
}

.loose {
  scroll-snap-type: none;
  cursor: grabbing;
}

.slide {
  flex: none;
  scroll-snap-align: start;
}

.dots {
  display: flex;
  gap: 2px;
  justify-content: center;
}

.dots button {
  width: 24px;
  height: 24px;
  padding: 8px;
  border: 0;
  background: none;
  cursor: pointer;
}

.dots button::before {
  display: block;
  width: 8px;
  height: 8px;
  border-radius: 50%;
  background: var(--line-strong);
  content: "";
}

.dots button[aria-current]::before {
  background: var(--zest);
}

.beside {
  display: grid;
  gap: 20px;
  align-content: space-between;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: end;
}

figure {
  margin: 0;
}

.crop {
  overflow: hidden;
}

.words {
  padding-left: 20px;
  margin: 0;
  color: var(--quiet);
}

.words li {
  padding-bottom: 8px;
}

.words .now {
  color: var(--ink);
}
</style>
