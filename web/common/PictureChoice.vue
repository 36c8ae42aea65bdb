<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import type { FileId } from "../../core/files";
import { useLibrary } from "./library";
import OrderMark from "../ui/OrderMark.vue";
import PictureShelf from "./PictureShelf.vue";

/** Several pictures of a brand, in the order in which they are chosen; the newest are at hand, and all on the shelf. */
const props = defineProps<{ brand: string }>();
const chosen = defineModel<FileId[]>({ required: true });

const AT_HAND = 48;
const library = useLibrary();
const all = computed(() => library.photographsOf(props.brand));
/** What was chosen of the others stands with them. */
const atHand = computed(() =>
  all.value.filter(({ id }, at) => at >= all.value.length - AT_HAND || chosen.value.includes(id)),
);
const shelfShown = ref(false);

function toggle(id: FileId): void {
  const without = chosen.value.filter((other) => other !== id);
  chosen.value = without.length < chosen.value.length ? without : [...without, id];
}
function add(id: FileId): void {
  if (!chosen.value.includes(id)) toggle(id);
}
</script>

<template>
  <div class="choice">
    <button
      v-for="one in atHand"
      :key="one.id"
      class="picture"
      :aria-pressed="chosen.includes(one.id)"
      :aria-label="one.name"
      @click="toggle(one.id)"
    >
      <img :src="`/api/pictures/${one.id}/rendition?width=160`" alt="" loading="lazy" />
      <OrderMark v-if="chosen.includes(one.id)" :at="chosen.indexOf(one.id)" corner />
    </button>
  </div>
  <NButton v-if="all.length > AT_HAND" quaternary @click="shelfShown = true">
    All {{ all.length }} pictures
  </NButton>
  <PictureShelf v-model:shown="shelfShown" :brand="brand" @picked="add" />
</template>

<style scoped>
.choice {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 6px;
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
</style>
