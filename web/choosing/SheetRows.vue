<script setup lang="ts">
import { useTemplateRef } from "vue";
import { useVirtualGrid } from "../common/use-virtual-grid";
import type { SheetGroup } from "./choosing";
import VariationTile from "./VariationTile.vue";

/** The variations of one group, of which only those in view are made. */
const props = defineProps<{
  group: SheetGroup;
  /** CSS pixels of a graphic. */
  width: number;
  height: number;
}>();

const FOOT = 26;
const box = useTemplateRef("box");
const { shown, height: full } = useVirtualGrid({
  items: () => props.group.variations,
  box,
  cell: { width: props.width, height: props.height + FOOT },
  gap: { columns: 18, rows: 18 },
});
</script>

<template>
  <section :aria-label="group.title || 'Variations'">
    <h2 v-if="group.title">
      {{ group.title }} <span class="quiet number">{{ group.variations.length }}</span>
    </h2>
    <div ref="box" class="rows" :style="{ height: full }">
      <VariationTile
        v-for="{ item, style } in shown"
        :key="item.index"
        :style="style"
        :variation="item"
        :width="width"
        :height="height"
      />
    </div>
  </section>
</template>

<style scoped>
h2 {
  max-width: 80ch;
  padding: 18px 0 10px;
  font-size: 15px;
}

.rows {
  position: relative;
}
</style>
