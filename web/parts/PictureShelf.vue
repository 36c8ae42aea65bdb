<script setup lang="ts">
import { NModal } from "naive-ui";
import { computed } from "vue";
import { useLibrary } from "../stores/library";

/** All stored photographs, to take one from. Logos are the brand's and do not stand here. */
const shown = defineModel<boolean>("shown", { required: true });
const emit = defineEmits<{ picked: [id: string] }>();

const library = useLibrary();
const logos = computed(
  () => new Set(library.brands.flatMap((brand) => brand.logos.map((l) => l.file))),
);
const pictures = computed(() => library.pictures.filter((picture) => !logos.value.has(picture.id)));

function pick(id: string): void {
  shown.value = false;
  emit("picked", id);
}
</script>

<template>
  <NModal v-model:show="shown">
    <section class="shelf" role="dialog" aria-label="The shelf" aria-modal="true">
      <header>
        <h2>The shelf</h2>
        <button class="button" @click="shown = false">Close</button>
      </header>
      <p v-if="pictures.length === 0" class="quiet">No pictures are stored yet.</p>
      <div class="pictures">
        <button
          v-for="picture in pictures"
          :key="picture.id"
          :aria-label="`Take ${picture.name}`"
          @click="pick(picture.id)"
        >
          <img :src="`/api/pictures/${picture.id}/rendition?width=320`" alt="" loading="lazy" />
          <span>{{ picture.name }}</span>
          <span class="quiet number">{{ picture.width }} × {{ picture.height }}</span>
        </button>
      </div>
    </section>
  </NModal>
</template>

<style scoped>
.shelf {
  display: grid;
  gap: 16px;
  width: 760px;
  max-height: 80vh;
  padding: 24px;
  overflow: auto;
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
}

header {
  display: flex;
  justify-content: space-between;
}

.pictures {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 16px;
  align-items: end;
}

.pictures button {
  display: grid;
  gap: 2px;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  font-size: 13px;
  text-align: left;
  cursor: pointer;
}

.pictures img {
  width: 100%;
}

.pictures button:hover img {
  outline: 2px solid var(--leaf);
}
</style>
