<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import { withPictures } from "../../../../core/arranging";
import type { FileId } from "../../../../core/files";
import { useChoosePictures } from "../../../common/add-pictures";
import { useLibrary } from "../../../common/library";
import DialogCard from "../../../common/DialogCard.vue";
import PictureChoice from "../../../common/PictureChoice.vue";
import FileButton from "../../../ui/FileButton.vue";
import { usePiece } from "../../piece";
import { useHand } from "../hand";

/** Pictures of the brand, or from files, that come into the composition together. */
const shown = defineModel<boolean>("shown", { required: true });

const MOST = 6;
const hand = useHand();
const open = usePiece();
const library = useLibrary();
const brand = computed(() => open.piece?.brand ?? "");
const hasNone = computed(() => library.photographsOf(brand.value).length === 0);
const chosen = ref<FileId[]>([]);
const { progress, add: take } = useChoosePictures(() => brand.value, chosen);

function add(): void {
  const files = chosen.value.slice(0, MOST);
  shown.value = false;
  chosen.value = [];
  if (files.length > 0) hand.add((piece, lead) => withPictures(piece, lead, files));
}
</script>

<template>
  <DialogCard v-model:shown="shown" title="Pictures to add" :width="640">
    <p class="quiet">
      {{
        hasNone
          ? "There are no pictures of this brand yet: take some from files."
          : `Several become one area, parted among them; ${MOST} at the most.`
      }}
    </p>
    <PictureChoice v-model="chosen" :brand="brand" />
    <div class="actions">
      <FileButton
        multiple
        label="From files"
        accept="image/*"
        :disabled="progress !== ''"
        @open="take"
      />
      <span class="quiet small" role="status">{{ progress }}</span>
      <NButton type="primary" :disabled="chosen.length === 0" @click="add">
        {{ chosen.length > 1 ? `Add ${Math.min(chosen.length, MOST)} pictures` : "Add" }}
      </NButton>
    </div>
  </DialogCard>
</template>

<style scoped>
.actions {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 10px;
  align-items: center;
  margin-top: 12px;
}
</style>
