<script setup lang="ts">
import { computed } from "vue";
import { useLibrary } from "./library";
import DialogCard from "./DialogCard.vue";

/** The photographs that a brand may show, to take one from. Logos are the brand's and do not stand here. */
const props = defineProps<{ brand: string }>();
const shown = defineModel<boolean>("shown", { required: true });
const emit = defineEmits<{ picked: [id: string] }>();

const library = useLibrary();
const photographs = computed(() => library.photographsOf(props.brand));

function pick(id: string): void {
  shown.value = false;
  emit("picked", id);
}
</script>

<template>
  <DialogCard v-model:shown="shown" title="Pictures" :width="760">
    <p v-if="photographs.length === 0" class="quiet">No pictures are stored yet.</p>
    <div class="pictures">
      <button
        v-for="picture in photographs"
        :key="picture.id"
        :aria-label="`Take ${picture.name}`"
        @click="pick(picture.id)"
      >
        <img :src="`/api/pictures/${picture.id}/rendition?width=320`" alt="" loading="lazy" />
        <span>{{ picture.name }}</span>
        <span class="quiet number">{{ picture.width }} × {{ picture.height }}</span>
      </button>
    </div>
  </DialogCard>
</template>

<style scoped>
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
