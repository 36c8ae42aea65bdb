<script setup lang="ts">
import { useEventListener } from "@vueuse/core";
import { computed, onMounted, ref, shallowRef } from "vue";
import { brandSpreads } from "../../core/brand";
import { isPicture, isText, leadOf, type Piece } from "../../core/piece";
import { arrangedAs, fitting, spreadFor, type Template } from "../../core/templates";
import { api } from "../api/client";
import { usePiece } from "../stores/piece";
import BegunTile from "./BegunTile.vue";

/** The same message in other arrangements and spreads, twelve at a time, those that suit it best first. */
const open = usePiece();
const templates = shallowRef<Template[]>([]);
const failure = ref("");
const AT_ONCE = 12;
const page = ref(0);

onMounted(async () => {
  try {
    templates.value = (await api.templates()).templates;
  } catch (error) {
    failure.value = (error as Error).message;
  }
});

const suited = computed(() => {
  const fillings = Object.entries(open.piece?.message ?? {});
  const words = Object.fromEntries(
    fillings.flatMap(([slot, filling]) => (isText(filling) ? [[slot, filling.text]] : [])),
  );
  const pictures = fillings.flatMap(([, filling]) => (isPicture(filling) ? [filling.picture] : []));
  return fitting(templates.value, { words, pictures });
});
const pages = computed(() => Math.max(1, Math.ceil(suited.value.length / AT_ONCE)));

/** Every round through the arrangements takes other spreads. */
const round = computed(() => Math.floor(page.value / pages.value));
const looks = computed(() => {
  const { piece, brand } = open;
  if (!piece || !brand) return [];
  const all = brandSpreads(brand);
  const from = (page.value % pages.value) * AT_ONCE;
  return suited.value.slice(from, from + AT_ONCE).map((template, index) => {
    const other = all[(index + round.value * 5) % Math.max(1, all.length)];
    const spread = round.value === 0 ? spreadFor(brand, template.mood) : (other ?? {});
    const look: Piece = { ...arrangedAs(piece, template), spread };
    return { template, look };
  });
});

const more = (): number => page.value++;
useEventListener("keydown", (event: KeyboardEvent) => {
  const typing = (event.target as HTMLElement).matches?.("input, textarea, select");
  if (event.key === "n" && !typing && !event.ctrlKey && !event.metaKey) more();
});

/** Two steps of undo: the arrangement, and the colours. */
function take(look: Piece): void {
  const { piece } = open;
  if (!piece) return;
  open.change({ kind: "lead", to: leadOf(look), was: leadOf(piece) });
  const { brand, spread } = piece;
  open.change({ kind: "dress", to: { brand, spread: look.spread }, was: { brand, spread } });
}
</script>

<template>
  <section class="others" aria-label="Other arrangements">
    <header>
      <h2>Another look</h2>
      <span class="quiet">the same message, arranged and coloured otherwise</span>
      <button class="button" title="n" @click="more">Twelve more</button>
    </header>
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <div v-else-if="open.brand" class="looks">
      <figure v-for="{ template, look } in looks" :key="`${template.id}-${page}`">
        <BegunTile
          :piece="look"
          :brand="open.brand"
          :area="30000"
          :widest="260"
          :label="`Take the look ${template.name}`"
          @pick="take"
        />
        <figcaption>{{ template.name }}</figcaption>
      </figure>
    </div>
  </section>
</template>

<style scoped>
.others {
  padding-top: 40px;
}

header {
  display: flex;
  gap: 12px;
  align-items: center;
  padding-bottom: 16px;
}

header .button {
  margin-left: auto;
}

.looks {
  display: flex;
  flex-wrap: wrap;
  gap: 24px 20px;
  align-items: end;
}

figure {
  display: grid;
  gap: 8px;
  margin: 0;
  font-size: 13px;
}
</style>
