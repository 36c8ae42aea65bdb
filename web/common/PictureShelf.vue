<script setup lang="ts">
import { NVirtualList } from "naive-ui";
import { computed } from "vue";
import type { StoredPicture } from "../../core/api";
import { useLibrary } from "./library";
import DialogCard from "./DialogCard.vue";

/** The photographs that a brand may show, to take one from. Logos are the brand's and do not stand here. */
const props = defineProps<{ brand: string }>();
const shown = defineModel<boolean>("shown", { required: true });
const emit = defineEmits<{ picked: [id: string] }>();

const library = useLibrary();
const photographs = computed(() => library.photographsOf(props.brand));

/** Rows of equal height, in CSS pixels, of which those in view are made. */
const ROW = 248;
const ACROSS = 3;
interface Row {
  key: string;
  pictures: StoredPicture[];
}
const rows = computed(() =>
  Array.from({ length: Math.ceil(photographs.value.length / ACROSS) }, (_, at): Row => {
    const pictures = photographs.value.slice(at * ACROSS, (at + 1) * ACROSS);
    return { key: pictures[0]!.id, pictures };
  }),
);

function pick(id: string): void {
  shown.value = false;
  emit("picked", id);
}
</script>

<template>
  <DialogCard v-model:shown="shown" title="Pictures" :width="760" fill>
    <p v-if="photographs.length === 0" class="quiet">No pictures are stored yet.</p>
    <NVirtualList v-else class="rows" :items="rows" :item-size="ROW" key-field="key">
      <template #default="{ item }: { item: Row }">
        <div class="pictures">
          <button
            v-for="picture in item.pictures"
            :key="picture.id"
            :aria-label="`Take ${picture.name}`"
            @click="pick(picture.id)"
          >
            <img :src="`/api/pictures/${picture.id}/rendition?width=320`" alt="" loading="lazy" />
            <span>{{ picture.name }}</span>
            <span class="quiet number">{{ picture.width }} × {{ picture.height }}</span>
          </button>
        </div>
      </template>
    </NVirtualList>
  </DialogCard>
</template>

<style scoped>
.rows {
  flex: 1;
  min-height: 0;
}

.pictures {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 16px;
  height: 248px;
  align-items: start;
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

.pictures span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.pictures img {
  width: 100%;
  height: 188px;
  background: var(--paper);
  object-fit: contain;
}

.pictures button:hover img {
  outline: 2px solid var(--leaf);
}
</style>
