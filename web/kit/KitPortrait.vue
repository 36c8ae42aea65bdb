<script setup lang="ts">
import { NButton } from "naive-ui";
import { ref } from "vue";
import type { FileId } from "../../core/files";
import { useAddPictures } from "../common/add-pictures";
import PictureShelf from "../common/PictureShelf.vue";
import FileButton from "../ui/FileButton.vue";
import PortraitCircle from "./PortraitCircle.vue";

/** The profile picture of a kit, to be changed: one of the brand's pictures, or a file. */
const portrait = defineModel<FileId | undefined>({ required: true });
const props = defineProps<{ brand: string }>();

const shelfShown = ref(false);
const { add } = useAddPictures(
  () => props.brand,
  (id) => (portrait.value = id),
);
</script>

<template>
  <section aria-label="Profile picture" class="portrait">
    <h2>Profile picture</h2>
    <PortraitCircle v-if="portrait" :file="portrait" />
    <p v-else class="quiet">None yet. It stands beside name and handle on the slides of a strip.</p>
    <div class="row-of-actions">
      <NButton size="small" @click="shelfShown = true">Choose a picture</NButton>
      <FileButton size="small" label="Add a picture" accept="image/*" @open="add" />
      <NButton v-if="portrait" size="small" quaternary @click="portrait = undefined">
        Take it out
      </NButton>
    </div>
    <PictureShelf v-model:shown="shelfShown" :brand="brand" @picked="portrait = $event" />
  </section>
</template>

<style scoped>
.portrait {
  display: grid;
  gap: 10px;
  justify-items: start;
}
</style>
