<script setup lang="ts">
import { NButton } from "naive-ui";
import { LayoutTemplate, Pin, PinOff, Shuffle } from "@lucide/vue";
import { computed, ref, watch } from "vue";
import { brandSpreads, defaultSpread } from "../../../core/brand";
import { sameSpread, type Spread } from "../../../core/colour";
import { rebrand } from "../../../core/kit";
import { inSpread, LookName, Mood, moodOf } from "../../../core/templates";
import { api } from "../../api/client";
import InLedger from "../InLedger.vue";
import LookPreview from "./LookPreview.vue";
import { usePointed } from "./use-pointed";
import OtherArrangements from "./OtherArrangements.vue";
import SaveTemplate from "../SaveTemplate.vue";
import SpreadCard from "./SpreadCard.vue";
import { useLibrary } from "../../common/library";
import { usePiece } from "../piece";
import { useToasts } from "../../common/toasts";
import SelectField from "../../ui/SelectField.vue";
import { asOptions, byName } from "../../ui/options";

/** The brand, and the ways of spreading its colours over the piece. */
const library = useLibrary();
const open = usePiece();
const toasts = useToasts();
const AT_ONCE = 12;
const page = ref(0);
const saving = ref(false);

const { pointed, point, leave } = usePointed();
const GROUNDS = [
  { value: "", label: "Any ground" },
  ...asOptions(Mood.options, (mood) => `${mood} ground`),
] as const;
const MANNERS = [{ value: "", label: "Any manner" }, ...asOptions(LookName.options)] as const;
const ground = ref<Mood | "">("");
const manner = ref<LookName | "">("");

const all = computed(() => {
  const { brand } = open;
  if (!brand) return [];
  const wanted = (spread: Spread) => !ground.value || moodOf(brand, spread) === ground.value;
  return brandSpreads(brand).filter(wanted);
});
watch(ground, () => (page.value = 0));
const pages = computed(() => Math.ceil(all.value.length / AT_ONCE));
/** The piece's own comes first when it is none of the brand's. */
const choices = computed(() => {
  const shown = all.value.slice(page.value * AT_ONCE, (page.value + 1) * AT_ONCE);
  const own = all.value.some((spread) => sameSpread(spread, current.value));
  return own || page.value > 0 || ground.value
    ? shown
    : [current.value, ...shown].slice(0, AT_ONCE);
});

const current = computed<Spread>(() => {
  const spread = open.piece?.spread ?? {};
  return Object.keys(spread).length > 0 || !open.brand ? spread : defaultSpread(open.brand);
});
const pinned = computed(
  () => open.brand?.spreads.some((spread) => sameSpread(spread, current.value)) ?? false,
);

/** The piece that this one is a copy of, if it is still here, by the name that it has now. */
const cameFrom = computed(() => {
  const { origin } = open.piece ?? {};
  const all = library.crates.flatMap(({ pieces, archived }) => [...pieces, ...archived]);
  return origin?.kind === "piece" ? all.find(({ id }) => id === origin.id) : undefined;
});

/** A later slide has colours of its own; the first has those of all that do not. */
function colour(spread: Spread): void {
  const { whole, brand, slide } = open;
  if (whole && brand && slide === 0) open.becomeWhole(inSpread(whole, spread, brand));
  else open.set(["spread"], spread);
}

/** Another brand's clothes: its own spread, and its colours for those that the design names. */
function changeBrand(id: string): void {
  const to = library.brandById.get(id);
  if (!open.whole || !open.brand || !to) return;
  const { piece, notes } = rebrand(open.whole, open.brand, to);
  page.value = 0;
  open.becomeWhole(piece, "brand");
  if (notes.length > 0) toasts.tell(`${notes.join("; ")}.`);
}

/** The next spread after the current one; after the last comes the first. */
function another(): void {
  const at = all.value.findIndex((spread) => sameSpread(spread, current.value));
  const next = (at + 1) % all.value.length;
  page.value = Math.floor(next / AT_ONCE);
  colour(all.value[next]!);
}

/** Pinned spreads are the kit's: they come first for every piece of the brand. */
async function pin(): Promise<void> {
  const { brand } = open;
  if (!brand) return;
  try {
    await api.pinSpread(brand.id, { spread: current.value, pinned: !pinned.value });
    await library.load();
  } catch (error) {
    toasts.fail(error);
  }
}
</script>

<template>
  <div class="look">
    <h2 class="hidden-name">Look</h2>
    <InLedger>
      <label>
        Brand
        <SelectField
          label="Brand"
          :model-value="open.piece?.brand"
          :options="byName(library.brands)"
          @update:model-value="changeBrand($event ?? '')"
        />
      </label>
      <p v-if="open.piece?.origin" class="quiet small began">
        Started from the {{ open.piece.origin.kind }}
        <RouterLink
          v-if="cameFrom"
          :to="{ name: 'piece', params: { id: cameFrom.id, step: 'look' } }"
          >{{ cameFrom.title }}</RouterLink
        >
        <b v-else>{{ open.piece.origin.name }}</b>
      </p>
      <div class="ways">
        <NButton :disabled="all.length < 2" @click="another">
          <Shuffle :size="16" aria-hidden="true" /> Other colours
        </NButton>
        <NButton :disabled="all.length === 0" @click="pin">
          <component :is="pinned ? PinOff : Pin" :size="16" aria-hidden="true" />
          {{ pinned ? "Unpin it from the kit" : "Pin it to the kit" }}
        </NButton>
        <NButton @click="saving = true">
          <LayoutTemplate :size="16" aria-hidden="true" /> Save as a template
        </NButton>
      </div>
      <LookPreview
        v-if="open.piece && open.brand"
        :piece="pointed ?? open.piece"
        :brand="open.brand"
        :pointed="pointed !== undefined"
      />
    </InLedger>
    <SaveTemplate v-model:shown="saving" />
    <div class="filters">
      <SelectField v-model="ground" label="Ground" :options="GROUNDS" />
      <SelectField v-model="manner" label="Manner" :options="MANNERS" />
    </div>
    <OtherArrangements :ground="ground" :manner="manner" @point="point" @leave="leave" />
    <section aria-label="Colour spreads" class="spreads">
      <h2>Colours</h2>
      <p class="quiet">
        Up to three colours, all readable.
        <template v-if="pages > 1">
          {{ page + 1 }} of {{ pages }}
          <NButton quaternary @click="page = (page + 1) % pages">More spreads</NButton>
        </template>
      </p>
      <p v-if="choices.length === 0" class="quiet">
        No two colours of this brand can be read on each other. Add a darker or lighter one to the
        brand kit.
      </p>
      <div v-else-if="open.piece && open.brand" class="choices">
        <SpreadCard
          v-for="spread in choices"
          :key="`${open.brand.id}-${JSON.stringify(spread)}`"
          :piece="open.piece"
          :brand="open.brand"
          :spread="spread"
          :current="sameSpread(spread, current)"
          @pick="colour(spread)"
          @point="point"
          @leave="leave"
        />
      </div>
    </section>
  </div>
</template>

<style scoped>
.look {
  padding: 16px 22px 48px;
}

.filters {
  display: grid;
  grid-template-columns: 160px 180px;
  gap: 12px;
  padding-bottom: 16px;
}

h2 {
  padding: 4px 0 8px;
}

label {
  display: grid;
  gap: 4px;
  color: var(--quiet);
  font-size: 12.5px;
}

.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 24px 20px;
  align-items: end;
  padding-top: 16px;
}

.spreads {
  padding-top: 24px;
}

.began {
  padding-top: 12px;
}

.ways {
  display: grid;
  gap: 8px;
  margin-top: 12px;
}
</style>
