<script setup lang="ts">
import type { StoredPicture } from "../../core/api";
import { counted } from "../common/counted";
import RestingImage from "../ui/RestingImage.vue";

/** One picture of the shelf, and in how many pieces it is. */
defineProps<{ picture: StoredPicture; used: number; open: boolean }>();
const emit = defineEmits<{ toggle: [] }>();
</script>

<template>
  <li>
    <button class="picture" :aria-pressed="open" :aria-label="picture.name" @click="emit('toggle')">
      <RestingImage
        :src="`/api/pictures/${picture.id}/rendition?width=320`"
        :width="picture.width"
        :height="picture.height"
      />
    </button>
    <span class="name">{{ picture.name }}</span>
    <span class="quiet small number">
      {{ picture.width }} × {{ picture.height
      }}{{ used > 0 ? `, in ${counted(used, "piece")}` : ", not used" }}
    </span>
  </li>
</template>

<style scoped>
/* What is in one card is of no concern to the others, which matters while thousands pass by. */
li {
  display: grid;
  gap: 2px;
  align-content: start;
  min-width: 0;
  contain: size layout style;
}

.picture {
  display: grid;
  height: 180px;
  padding: 0;
  border: 1px solid var(--line);
  background: var(--card);
  cursor: pointer;
  place-items: center;
}

.picture:hover {
  border-color: var(--leaf);
}

.picture[aria-pressed="true"] {
  outline: 3px solid var(--zest);
}

img {
  width: auto;
  max-width: 100%;
  height: auto;
  max-height: 178px;
}

.name,
.small {
  overflow: hidden;
  line-height: 1.45;
  margin-top: 6px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
