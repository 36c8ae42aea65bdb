<script setup lang="ts">
import { useElementVisibility } from "@vueuse/core";
import { Star } from "@lucide/vue";
import { computed, useTemplateRef } from "vue";
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import type { Template } from "../../core/templates";
import { useLibrary } from "../stores/library";
import VersionTile from "./VersionTile.vue";

/** A template, live, in a brand and with the words of the message if there are any. `area` is CSS pixels squared. */
const props = defineProps<{
  template: Template;
  piece: Piece;
  brand: Brand;
  area: number;
  favourite: boolean;
  house: boolean;
}>();
const emit = defineEmits<{ pick: []; favour: []; remove: [] }>();

const library = useLibrary();
const box = useTemplateRef("box");
/** Painted only while it can be seen, so that many of them scroll well. */
const seen = useElementVisibility(box, { rootMargin: "200px" });
const lead = computed(() => library.placementOf(props.piece, props.piece.lead));
const WIDEST = 320;
const width = computed(() => {
  const { width: w, height: h } = lead.value ?? { width: 1, height: 1 };
  return Math.round(Math.min(WIDEST, Math.sqrt((props.area * w) / h)));
});
const height = computed(() =>
  lead.value ? Math.round((width.value * lead.value.height) / lead.value.width) : 0,
);
</script>

<template>
  <article class="tile" :style="{ width: `${Math.max(width, 120)}px` }">
    <button
      ref="box"
      class="graphic"
      :style="{ width: `${width}px`, height: `${height}px` }"
      :aria-label="`Begin with ${template.name}`"
      @click="emit('pick')"
    >
      <VersionTile
        v-if="seen && lead"
        :piece="piece"
        :brand="brand"
        :placement="lead"
        :width="width"
        :label="template.name"
      />
    </button>
    <p class="about">
      <span class="name">{{ template.name }}</span>
      <button
        class="star"
        :aria-pressed="favourite"
        :aria-label="favourite ? `${template.name}: no favourite` : `${template.name}: favourite`"
        @click="emit('favour')"
      >
        <Star :size="14" :fill="favourite ? 'currentColor' : 'none'" aria-hidden="true" />
      </button>
    </p>
    <p v-if="house" class="house small">
      <span class="quiet">of the house</span>
      <a :href="`/api/templates/${template.id}/file`" download>Export</a>
      <button class="link" @click="emit('remove')">Delete</button>
    </p>
    <p v-else class="quiet small kinds">{{ template.purposes.join(", ") }}</p>
  </article>
</template>

<style scoped>
.tile {
  display: grid;
  gap: 4px;
}

.graphic {
  display: block;
  padding: 0;
  border: 0;
  background: var(--line);
  cursor: pointer;
}

.graphic:hover {
  outline: 2px solid var(--leaf);
  outline-offset: 3px;
}

.graphic :deep(.must) {
  display: none;
}

.about {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  padding-top: 4px;
  font-size: 13px;
  font-weight: 600;
}

.name,
.kinds {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.star,
.link {
  padding: 2px;
  border: 0;
  background: none;
  color: var(--quiet);
  font: inherit;
  cursor: pointer;
}

.star[aria-pressed="true"] {
  color: var(--zest);
}

.house {
  display: flex;
  gap: 10px;
}

.link {
  padding: 0;
  color: var(--leaf);
  text-decoration: underline;
}
</style>
