<script setup lang="ts">
import { ImagePlus } from "@lucide/vue";
import { useEventListener } from "@vueuse/core";
import { ref } from "vue";
import type { FileId } from "../../core/files";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";
import FileButton from "../ui/FileButton.vue";

/** Pictures that go with a message, in the order in which they were chosen: of the shelf, dropped, pasted or opened. */
const props = defineProps<{ brand: string }>();
const chosen = defineModel<FileId[]>({ required: true });
const library = useLibrary();
const toasts = useToasts();
const over = ref(false);

async function take(files: Iterable<File> | null | undefined): Promise<void> {
  for (const file of files ?? []) {
    try {
      const { id } = await library.addPicture(file, props.brand);
      if (!chosen.value.includes(id)) chosen.value = [...chosen.value, id];
    } catch (error) {
      toasts.fail(error);
    }
  }
}

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

function toggle(id: FileId): void {
  const without = chosen.value.filter((other) => other !== id);
  chosen.value = without.length < chosen.value.length ? without : [...without, id];
}
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

    <p class="quiet small">Most important first; optional. Drop or paste more here.</p>
    <div class="pictures">
      <button
        v-for="one in library.photographsOf(brand)"
        :key="one.id"
        class="picture"
        :aria-pressed="chosen.includes(one.id)"
        :aria-label="one.name"
        @click="toggle(one.id)"
      >
        <img :src="`/api/pictures/${one.id}/rendition?width=160`" alt="" loading="lazy" />
        <span v-if="chosen.includes(one.id)" class="order">{{ chosen.indexOf(one.id) + 1 }}</span>
      </button>
    </div>
  </section>
</template>

<style scoped>
.picks.over {
  outline: 2px dashed var(--zest);
  outline-offset: 6px;
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}

.pictures {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 6px;
  padding-top: 8px;
}

.picture {
  position: relative;
  aspect-ratio: 1;
  padding: 0;
  border: 0;
  background: var(--line);
  cursor: pointer;
}

img {
  width: 100%;
  height: 100%;
  object-fit: cover;
}

.picture[aria-pressed="true"] {
  outline: 3px solid var(--zest);
}

.order {
  position: absolute;
  top: 2px;
  left: 2px;
  min-width: 18px;
  border-radius: 9px;
  background: var(--zest);
  color: #1f2d2a;
  font-size: 12px;
  font-weight: 700;
}
</style>
