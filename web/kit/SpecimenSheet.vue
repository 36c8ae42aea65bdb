<script setup lang="ts">
import { useElementSize } from "@vueuse/core";
import { useTemplateRef } from "vue";
import type { Brand } from "../../core/brand";
import type { Specimen } from "../../core/specimen";
import { useWall } from "../wall/use-wall";
import GraphicTile from "../common/GraphicTile.vue";

/** One page of the specimen, as wide as there is room for. */
const props = defineProps<{ page: Specimen; brand: Brand }>();

const wall = useWall({
  piece: () => props.page.piece,
  brand: () => props.brand,
});
const sheet = useTemplateRef("sheet");
const { width } = useElementSize(sheet);
</script>

<template>
  <div ref="sheet" class="sheet">
    <GraphicTile
      v-if="width > 0"
      :wall="wall"
      :placement="page.placement"
      :width="Math.floor(width)"
      :label="page.title"
    />
  </div>
</template>

<style scoped>
.sheet {
  min-width: 0;
  outline: 1px solid var(--line);
}
</style>
