<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, watch } from "vue";
import type { Piece } from "../../../core/piece";
import { toAct } from "../../../core/preflight";
import { same } from "../../../core/same";
import { slideOf, slidesFor } from "../../../core/strip";
import { wordingOf } from "../../../core/wording/findings";
import { counted } from "../../common/counted";
import GraphicTile from "../../common/GraphicTile.vue";
import { useWall } from "../../wall/use-wall";
import { usePiece } from "../piece";

/** What is found on another slide than the one that is worked on, on all sizes that show it; one goes there with a press. */
const props = defineProps<{ index: number }>();
const emit = defineEmits<{ checked: [counts: { must: number; look: number }] }>();

const open = usePiece();
const WIDTH = 96;
const slide = computed<Piece | undefined>((before) => {
  const now = open.whole && slideOf(open.whole, props.index);
  return same(before, now) ? before : now;
});
const lead = computed(() => open.placements.find(({ id }) => id === open.piece?.lead));
const placements = computed(() =>
  open.placements.filter(
    (placement) => open.whole && slidesFor(open.whole, placement).includes(props.index),
  ),
);
const wall = useWall({
  piece: () => slide.value,
  brand: () => open.brand,
  reportsOn: () => placements.value,
});

const isChecked = computed(() => placements.value.every(({ id }) => wall.reports.value.has(id)));
const found = computed(() =>
  placements.value.flatMap((placement) =>
    toAct(wall.reports.value.get(placement.id)?.findings ?? []).map((finding) => ({
      level: finding.level,
      where: placement.name,
      ...wordingOf(finding),
    })),
  ),
);
const counts = computed(() => {
  const must = found.value.filter(({ level }) => level === "must-fix").length;
  return { must, look: found.value.length - must };
});
watch([isChecked, counts], () => isChecked.value && emit("checked", counts.value), {
  immediate: true,
});
const MOST = 4;
</script>

<template>
  <section v-if="lead" class="slide" :aria-label="`Slide ${index + 1}`">
    <GraphicTile :wall="wall" :placement="lead" :width="WIDTH" :label="`Slide ${index + 1}`" />
    <div>
      <h3>Slide {{ index + 1 }}</h3>
      <p v-if="!isChecked" class="quiet">Checking …</p>
      <p v-else-if="found.length === 0" class="quiet">
        Nothing found on {{ counted(placements.length, "size") }}
      </p>
      <template v-else>
        <ul>
          <li
            v-for="({ title, where, level }, at) in found.slice(0, MOST)"
            :key="at"
            :class="level"
          >
            {{ title }} <span class="quiet">· {{ where }}</span>
          </li>
        </ul>
        <p v-if="found.length > MOST" class="quiet">and {{ found.length - MOST }} more</p>
        <NButton size="small" @click="open.slide = index">Go to slide {{ index + 1 }}</NButton>
      </template>
    </div>
  </section>
</template>

<style scoped>
.slide {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}

h3 {
  font-size: 13.5px;
}

ul {
  padding: 4px 0 8px 16px;
  margin: 0;
  font-size: 13px;
}

p {
  margin: 0;
  font-size: 13px;
}

.must-fix::marker {
  color: var(--berry);
}
</style>
