<script setup lang="ts">
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import { slideCount } from "../../core/strip";
import type { Template } from "../../core/templates";
import { counted } from "../common/counted";
import StripPreview from "../common/StripPreview.vue";
import TemplateCaption from "./TemplateCaption.vue";

/** A carousel, live, in a brand and with the slides of the outline if there is one. */
defineProps<{
  template: Template;
  piece: Piece;
  brand: Brand;
  favourite: boolean;
  house: boolean;
}>();
const emit = defineEmits<{ pick: []; favour: []; remove: [] }>();
const WIDTH = 148;
</script>

<template>
  <article class="tile">
    <StripPreview
      :piece="piece"
      :brand="brand"
      :width="WIDTH"
      :label="`Begin with ${template.name}`"
      @pick="emit('pick')"
    />
    <TemplateCaption
      :template="template"
      :about="`${counted(slideCount(piece), 'slide')}. ${template.note ?? ''}`"
      :favourite="favourite"
      :house="house"
      @favour="emit('favour')"
      @remove="emit('remove')"
    />
  </article>
</template>

<style scoped>
.tile {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
}
</style>
