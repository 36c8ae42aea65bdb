<script setup lang="ts">
import { computed, nextTick } from "vue";
import { readingRank } from "../../../core/message";
import { isText } from "../../../core/piece";
import { isStripSlot } from "../../../core/strip";
import { usePiece } from "../piece";
import AddSlots from "./AddSlots.vue";
import PictureBlock from "./PictureBlock.vue";
import TextBlock from "./TextBlock.vue";

/** The message as a page, read from top to bottom. The brand stands at its head. */
const open = usePiece();
/** In the order of reading, whatever came last. */
const slots = computed(() =>
  Object.entries(open.piece?.message ?? {})
    .filter(([slot]) => !isStripSlot(slot))
    .map(([slot, filling], index) => ({
      slot,
      filling,
      index,
      rank: isText(filling) ? readingRank(slot) : -1,
    }))
    // Pictures stand first, as they are seen first.
    .sort((a, b) => a.rank - b.rank || a.index - b.index),
);

async function focus(slot: string): Promise<void> {
  await nextTick();
  document.querySelector<HTMLElement>(`[data-slot="${slot}"] textarea`)?.focus();
}
</script>

<template>
  <section class="sheet" aria-label="Message">
    <header>
      <RouterLink
        v-if="open.brand"
        class="brand"
        :to="{ name: 'brand', params: { id: open.brand.id } }"
      >
        {{ open.brand.name }}
      </RouterLink>
      <span class="colours" aria-hidden="true">
        <i
          v-for="colour in open.brand?.colours"
          :key="colour.id"
          :style="{ background: colour.hex }"
        ></i>
      </span>
    </header>
    <template v-for="{ slot, filling } in slots" :key="slot">
      <TextBlock
        v-if="isText(filling)"
        :data-slot="slot"
        :slot-name="slot"
        :text="filling.text"
        :alternatives="filling.alternatives"
      />
      <PictureBlock v-else :slot-name="slot" :filling="filling" />
    </template>
    <AddSlots @added="focus" />
  </section>
</template>

<style scoped>
.sheet {
  display: flex;
  flex-direction: column;
  padding: 16px 22px 32px;
}

header {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  padding-bottom: 14px;
  margin-bottom: 10px;
  border-bottom: 1px solid var(--line);
}

.brand {
  color: var(--ink);
  font: 650 14px/1.3 var(--title);
  text-decoration: none;
}

.brand:hover {
  text-decoration: underline;
}

.colours {
  display: inline-flex;
  flex: none;
  gap: 1px;
}

.colours i {
  width: 12px;
  height: 12px;
  box-shadow: inset 0 0 0 1px rgb(0 0 0 / 0.08);
}
</style>
