<script setup lang="ts">
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import type { Template } from "../../core/templates";
import PreviewTile from "../common/PreviewTile.vue";
import { PREVIEW } from "../common/previews";
import TemplateCaption from "./TemplateCaption.vue";

/** A template, live, in a brand and with the words of the message if there are any. `area` is CSS pixels squared. */
defineProps<{
  template: Template;
  piece: Piece;
  brand: Brand;
  area: number;
  favourite: boolean;
  house: boolean;
}>();
const emit = defineEmits<{ pick: []; favour: []; remove: [] }>();
</script>

<template>
  <article class="tile">
    <PreviewTile
      :piece="piece"
      :brand="brand"
      :area="area"
      :widest="PREVIEW.widest"
      :label="`Begin with ${template.name}`"
      @pick="emit('pick')"
    />
    <TemplateCaption
      :template="template"
      :about="template.purposes.join(', ')"
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
  gap: 4px;
  width: min-content;
  min-width: 124px;
}
</style>
