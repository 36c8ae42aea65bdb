<script setup lang="ts">
import type { FileId } from "../../core/files";
import { useLibrary } from "../stores/library";

/** Pictures of the shelf that go with a message, in the order in which they were chosen. */
const chosen = defineModel<FileId[]>({ required: true });
const library = useLibrary();

function toggle(id: FileId): void {
  const without = chosen.value.filter((other) => other !== id);
  chosen.value = without.length < chosen.value.length ? without : [...without, id];
}
</script>

<template>
  <section aria-label="Pictures">
    <h3>Pictures</h3>
    <p class="quiet small">In the order of importance; none is fine.</p>
    <div class="pictures">
      <button
        v-for="one in library.photographs"
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
