<script setup lang="ts">
import { ImagePlus } from "@lucide/vue";
import { useEventListener } from "@vueuse/core";
import { ref } from "vue";
import type { FileId } from "../../core/files";
import { useChoosePictures } from "../common/add-pictures";
import PictureChoice from "../common/PictureChoice.vue";
import FileButton from "../ui/FileButton.vue";

/** Pictures that go with a message, in the order in which they were chosen: of the shelf, dropped, pasted or opened. */
const props = defineProps<{ brand: string }>();
const chosen = defineModel<FileId[]>({ required: true });
const over = ref(false);

const { add: take } = useChoosePictures(() => props.brand, chosen);

function drop(event: DragEvent): void {
  over.value = false;
  void take(event.dataTransfer?.files);
}

useEventListener("paste", (event: ClipboardEvent) => {
  const { files } = event.clipboardData ?? {};
  if (!files?.length) return;
  event.preventDefault();
  void take(files);
});
</script>

<template>
  <section
    aria-label="Pictures"
    class="picks"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="drop"
  >
    <header>
      <h3>Pictures</h3>
      <FileButton plain multiple label="Add pictures" accept="image/*" @open="take"
        ><template #text><ImagePlus :size="16" aria-hidden="true" /> Add</template></FileButton
      >
    </header>

    <p class="quiet small hint">Most important first; optional. Drop or paste more here.</p>
    <PictureChoice v-model="chosen" :brand="brand" />
  </section>
</template>

<style scoped>
.hint {
  padding-bottom: 8px;
}

.picks.over {
  outline: 2px dashed var(--zest);
  outline-offset: 6px;
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}
</style>
