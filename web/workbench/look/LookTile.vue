<script setup lang="ts">
import { NButton } from "naive-ui";
import { Pin } from "@lucide/vue";
import type { Brand } from "../../../core/brand";
import type { Piece } from "../../../core/piece";
import PreviewTile from "../../common/PreviewTile.vue";

/** A look for the open message, live, with what would change; taken with a press, or pinned to be compared. */
defineProps<{ piece: Piece; brand: Brand; name: string; changed: string[]; pinned: boolean }>();
const emit = defineEmits<{ pick: [fitted: Piece]; pin: []; point: [fitted: Piece]; leave: [] }>();
</script>

<template>
  <figure>
    <PreviewTile
      :piece="piece"
      :brand="brand"
      :area="30000"
      :widest="260"
      :label="`Take the look ${name}`"
      @pick="emit('pick', $event)"
      @point="emit('point', $event)"
      @leave="emit('leave')"
    />
    <figcaption>
      <span class="name">
        {{ name }}
        <NButton
          text
          class="pin"
          :aria-pressed="pinned"
          :aria-label="pinned ? `Unpin ${name}` : `Pin ${name}`"
          @click="emit('pin')"
          ><Pin :size="14" :fill="pinned ? 'currentColor' : 'none'" aria-hidden="true"
        /></NButton>
      </span>
      <span class="quiet small changed">{{ changed.join(", ") || "as it is now" }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  gap: 8px;
  width: min-content;
  min-width: 150px;
  margin: 0;
  font-size: 13px;
}

figcaption {
  display: grid;
  gap: 2px;
}

.name {
  display: flex;
  gap: 6px;
  align-items: center;
}

.pin {
  display: inline-flex;
  padding: 2px;
  border: 0;
  background: none;
  color: var(--leaf);
  cursor: pointer;
}

.changed {
  min-height: 2.6em;
}
</style>
