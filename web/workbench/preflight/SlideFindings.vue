<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed } from "vue";
import { toAct } from "../../../core/preflight";
import { wordingOf } from "../../../core/wording/findings";
import { counted } from "../../common/counted";
import { usePiece } from "../piece";
import { useSlideReports } from "../slides/slide-reports";
import SlideTile from "../slides/SlideTile.vue";

/** What is found on another slide than the one that is worked on, on all sizes that show it; one goes there with a press. */
const props = defineProps<{ id: string; index: number }>();

const open = usePiece();
const slides = useSlideReports();
const WIDTH = 96;
const lead = computed(() => open.placements.find(({ id }) => id === open.piece?.lead));
const placements = computed(() => slides.placementsOf(props.index));
const reports = computed(() => slides.of(props.id));
const found = computed(() =>
  placements.value.flatMap((placement) =>
    toAct(reports.value?.get(placement.id)?.findings ?? []).map((finding) => ({
      level: finding.level,
      where: placement.name,
      ...wordingOf(finding),
    })),
  ),
);
const MOST = 4;
</script>

<template>
  <section v-if="lead" class="slide" :aria-label="`Slide ${index + 1}`">
    <SlideTile :index="index" :placement="lead" :width="WIDTH" />
    <div>
      <h3>Slide {{ index + 1 }}</h3>
      <p v-if="!reports" class="quiet">Checking …</p>
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
