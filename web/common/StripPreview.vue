<script setup lang="ts">
import { useElementVisibility } from "@vueuse/core";
import { computed, useTemplateRef, watch } from "vue";
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import { slideCount, withSlide } from "../../core/strip";
import { useLibrary } from "./library";
import SlidePreview from "./SlidePreview.vue";

/**
 * A strip as it would begin, its slides side by side: each is fitted to its words, as it will be when it is picked. Painted only
 * while it can be seen. `width` is that of a slide in CSS pixels.
 */
const props = defineProps<{ piece: Piece; brand: Brand; width: number; label: string }>();
const emit = defineEmits<{ pick: [piece: Piece] }>();

const library = useLibrary();
const box = useTemplateRef("box");
const seen = useElementVisibility(box, { rootMargin: "200px" });
const lead = computed(() => library.placementOf(props.piece, props.piece.lead));
const count = computed(() => slideCount(props.piece));
const height = computed(() =>
  lead.value ? Math.round((props.width * lead.value.height) / lead.value.width) : 0,
);

const fitted = new Map<number, Piece>();
watch(
  () => props.piece,
  () => fitted.clear(),
);
const pick = (): void =>
  emit(
    "pick",
    [...fitted].reduce((strip, [index, slide]) => withSlide(strip, index, slide), props.piece),
  );
</script>

<template>
  <button
    ref="box"
    class="strip"
    :style="{ minHeight: `${height}px` }"
    :aria-label="label"
    @click="pick"
  >
    <template v-if="seen && lead">
      <SlidePreview
        v-for="index in count"
        :key="index"
        :strip="piece"
        :brand="brand"
        :index="index - 1"
        :placement="lead"
        :width="width"
        fitted
        @fitted="fitted.set(index - 1, $event)"
      />
    </template>
  </button>
</template>

<style scoped>
.strip {
  display: flex;
  gap: 2px;
  width: 100%;
  padding: 0;
  overflow: hidden;
  border: 0;
  background: none;
  cursor: pointer;
}

.strip:hover {
  outline: 2px solid var(--leaf);
  outline-offset: 3px;
}

.strip :deep(canvas) {
  flex: none;
}
</style>
