<script setup lang="ts">
import { useTemplateRef } from "vue";
import type { ListedPiece, StoredPicture } from "../../core/api";
import { useVirtualGrid } from "../common/use-virtual-grid";
import PictureCard from "./PictureCard.vue";

/** Pictures side by side, of which only those in view are made; one of them may be open. */
const props = defineProps<{
  pictures: readonly StoredPicture[];
  /** The pieces that show a picture, by its id. */
  users: ReadonlyMap<string, readonly ListedPiece[]>;
}>();
const open = defineModel<string>("open");

const { shown, height } = useVirtualGrid({
  items: () => props.pictures,
  box: useTemplateRef("shelf"),
  cell: { width: 180, height: 236 },
  gap: { columns: 16, rows: 24 },
  fill: true,
});
</script>

<template>
  <ul ref="shelf" :style="{ height }">
    <PictureCard
      v-for="{ item: picture, place, style } in shown"
      :key="picture.id"
      :style="style"
      :picture="picture"
      :used="users.get(picture.id)?.length ?? 0"
      :open="picture.id === open"
      :aria-setsize="pictures.length"
      :aria-posinset="place"
      @toggle="open = picture.id === open ? undefined : picture.id"
    />
  </ul>
</template>

<style scoped>
ul {
  position: relative;
  width: 100%;
  padding: 0;
  margin: 0;
  list-style: none;
}
</style>
