<script setup lang="ts">
import { computed } from "vue";
import { Placement, safeArea } from "../../core/placements";
import type { PlacementFacts } from "../../core/api";
import { channelName } from "../wall/packing";
import AreaList from "../workbench/message/AreaList.vue";

/** The facts of a placement, to be changed in place. */
const facts = defineModel<PlacementFacts>({ required: true });
defineProps<{ channels: readonly string[] }>();

const uses = Placement.shape.use.options;
const safe = computed(() => safeArea({ ...facts.value, id: "draft" }));
const noRoom = computed(() => safe.value.width <= 0 || safe.value.height <= 0);

/** Roles that a crop is usually asked to keep. */
const KEPT = ["headline", "logo", "price", "badge", "cta", "all"];
</script>

<template>
  <div class="facts labelled">
    <label class="wide">Name<input v-model="facts.name" class="field" maxlength="80" /></label>
    <label>
      Channel
      <input v-model="facts.channel" class="field" list="channels" />
      <datalist id="channels">
        <option v-for="one in channels" :key="one" :value="one">{{ channelName(one) }}</option>
      </datalist>
    </label>
    <label>
      Use
      <select v-model="facts.use" class="field">
        <option v-for="use in uses" :key="use" :value="use">{{ channelName(use) }}</option>
      </select>
    </label>
    <label
      >Width, px<input v-model.number="facts.width" class="field" type="number" min="1"
    /></label>
    <label
      >Height, px<input v-model.number="facts.height" class="field" type="number" min="1"
    /></label>
    <label
      >Seen at, CSS px wide<input
        v-model.number="facts.viewWidth"
        class="field"
        type="number"
        min="1"
    /></label>
    <label
      >Margin, px<input v-model.number="facts.margin" class="field" type="number" min="0"
    /></label>
    <AreaList
      v-model="facts.covered"
      title="Covered by the channel"
      :frame="facts"
      :fresh="{ by: 'controls' }"
      label="by"
    />
    <AreaList
      v-model="facts.crops"
      title="Crops"
      :frame="facts"
      :fresh="{ name: 'grid', shape: 'rect', keeps: ['headline', 'logo'] }"
      label="name"
      :keeps="KEPT"
    />
    <label class="wide">Source<input v-model="facts.source" class="field" /></label>
    <label>Checked<input v-model="facts.checked" class="field" type="date" /></label>
    <label class="wide">Note<input v-model="facts.note" class="field" /></label>
    <p v-if="noRoom" class="wide must">
      Margin and covered areas leave nothing free: no words can stand here, only a picture.
    </p>
  </div>
</template>

<style scoped>
.facts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 12px;
}

.wide,
:deep(.areas) {
  grid-column: 1 / -1;
}

.must {
  color: var(--berry);
  font-size: 13px;
}
</style>
