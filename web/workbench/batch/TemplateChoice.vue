<script setup lang="ts">
import { NButton, NTag } from "naive-ui";
import { computed, ref } from "vue";
import type { Brand } from "../../../core/brand";
import type { Piece } from "../../../core/piece";
import { isStrip } from "../../../core/strip";
import { arrangedAs, inSet, type Template } from "../../../core/templates";
import DialogCard from "../../common/DialogCard.vue";
import PreviewTile from "../../common/PreviewTile.vue";
import StripPreview from "../../common/StripPreview.vue";
import OrderMark from "../../ui/OrderMark.vue";
import { useTemplates } from "../../new-piece/templates";
import { useToasts } from "../../common/toasts";

/** Several arrangements for the open piece, of a strip several sets, each shown with what it says. */
const props = defineProps<{ piece: Piece; brand: Brand; templates: readonly Template[] }>();
const chosen = defineModel<string[]>({ required: true });

const list = useTemplates();
const toasts = useToasts();
const shown = ref(false);
const AREA = 24_000;
const WIDEST = 220;
const SLIDE = 92;

const ofStrip = computed(() => isStrip(props.piece));
const tiles = computed(() =>
  props.templates.map((template) => ({
    id: template.id,
    name: template.name,
    // Called after the template, since what it shows is prepared under that name.
    piece: { ...arranged(template), id: template.id },
  })),
);
const arranged = (template: Template): Piece =>
  ofStrip.value ? inSet(props.piece, template, props.brand) : arrangedAs(props.piece, template);
const nameOf = (id: string): string =>
  props.templates.find((one) => one.id === id)?.name ?? "one that is gone";

const toggle = (id: string): void => {
  const others = chosen.value.filter((one) => one !== id);
  chosen.value = others.length < chosen.value.length ? others : [...chosen.value, id];
};

async function open(): Promise<void> {
  try {
    await list.load();
    shown.value = true;
  } catch (error) {
    toasts.fail(error);
  }
}
</script>

<template>
  <div v-if="chosen.length > 0" class="tags">
    <NTag v-for="id in chosen" :key="id" size="small" closable @close="toggle(id)">{{
      nameOf(id)
    }}</NTag>
  </div>
  <NButton size="small" @click="open">{{
    ofStrip ? "Choose sets" : "Choose arrangements"
  }}</NButton>
  <DialogCard
    v-model:shown="shown"
    :title="ofStrip ? 'Sets that vary' : 'Arrangements that vary'"
    :width="1040"
    close="Done"
    fill
  >
    <div class="tiles" :class="{ strips: ofStrip }">
      <figure v-for="tile in tiles" :key="tile.id" :class="{ chosen: chosen.includes(tile.id) }">
        <StripPreview
          v-if="ofStrip"
          :piece="tile.piece"
          :brand="brand"
          :width="SLIDE"
          :label="tile.name"
          :aria-pressed="chosen.includes(tile.id)"
          @pick="toggle(tile.id)"
        />
        <PreviewTile
          v-else
          :piece="tile.piece"
          :brand="brand"
          :area="AREA"
          :widest="WIDEST"
          :label="tile.name"
          :aria-pressed="chosen.includes(tile.id)"
          @pick="toggle(tile.id)"
        />
        <figcaption class="small">
          <OrderMark v-if="chosen.includes(tile.id)" :at="chosen.indexOf(tile.id)" />
          {{ tile.name }}
        </figcaption>
      </figure>
    </div>
    <div class="foot">
      <span class="quiet number" role="status">{{ chosen.length }} chosen</span>
      <NButton v-if="chosen.length > 0" @click="chosen = []">Choose none</NButton>
    </div>
  </DialogCard>
</template>

<style scoped>
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}

.tiles {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 20px;
  align-items: end;
  min-height: 0;
  padding: 6px;
  overflow: auto;
}

.strips {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
}

figure {
  min-width: 0;
  margin: 0;
}

.chosen > :first-child {
  outline: 3px solid var(--zest);
  outline-offset: 2px;
}

figcaption {
  padding-top: 6px;
}

.foot {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: end;
  padding-top: 12px;
}
</style>
