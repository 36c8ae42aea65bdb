<script setup lang="ts">
import { Download, Palette, Plus } from "@lucide/vue";
import { rollup } from "d3-array";
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import type { ListedCrate, PieceFiling } from "../../core/api";
import { api } from "../api/client";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";
import { counted } from "../common/counted";
import DeleteButton from "../common/DeleteButton.vue";
import CrateBrand from "./CrateBrand.vue";
import { useNear } from "../common/use-near";
import ArchivedList from "./ArchivedList.vue";
import { cardOf, ROOM_HEIGHT } from "./card";
import PieceCard from "./PieceCard.vue";
import { useSelection } from "./selection";
import LinkButton from "../ui/LinkButton.vue";
import NameField from "../ui/NameField.vue";

const props = defineProps<{
  crate: ListedCrate;
  /** All pieces as they stand on the page. */
  order: readonly string[];
  /** It stands on its own page. */
  alone?: boolean;
}>();
const emit = defineEmits<{ start: [crate: string, from: string] }>();

const library = useLibrary();
const toasts = useToasts();
async function keep(piece: string, filing: PieceFiling): Promise<void> {
  await act(() => api.filePiece(piece, filing));
}

/** Whether it could be done. */
async function act(work: () => Promise<unknown>): Promise<boolean> {
  try {
    await work();
    await library.load();
    return true;
  } catch (error) {
    toasts.fail(error);
    return false;
  }
}

async function remove(kind: "crate" | "piece", id: string, name: string): Promise<void> {
  if (await act(() => api.remove(kind, id)))
    toasts.tell(`“${name}” is in the bin for 30 days; look under Storage to bring it back.`);
}

const selection = useSelection();
/** Only what can be seen is made and painted, so that many pieces open and scroll well; the others have their room. */
const { near, vNear } = useNear(400);
const elsewhere = computed(() => library.crates.filter(({ id }) => id !== props.crate.id));
/** How many pieces are in each set. */
const inSets = computed(() =>
  rollup(
    props.crate.pieces,
    (all) => all.length,
    ({ set }) => set,
  ),
);
const rebranding = ref(false);
const brand = computed(() => library.brandById.get(props.crate.brand));
</script>

<template>
  <section class="crate" :aria-label="crate.name">
    <header>
      <h2>
        <NameField
          class="crate-name"
          :name="crate.name"
          :maxlength="120"
          :label="`Name of the crate ${crate.name}`"
          @rename="act(() => api.renameCrate(crate.id, $event))"
        />
      </h2>
      <RouterLink v-if="brand" class="brand" :to="{ name: 'brand', params: { id: brand.id } }">
        {{ brand.name }}
        <span class="colours" aria-hidden="true">
          <i
            v-for="colour in brand.colours"
            :key="colour.id"
            :style="{ background: colour.hex }"
          ></i>
        </span>
      </RouterLink>
      <span class="space"></span>
      <RouterLink v-if="!alone" class="all" :to="{ name: 'crate', params: { id: crate.id } }">
        Batches and deliveries
      </RouterLink>
      <LinkButton :to="{ name: 'new-piece', params: { into: crate.id } }">
        <Plus :size="16" aria-hidden="true" /> New piece
      </LinkButton>
      <NButton
        v-if="crate.pieces.length > 0 && library.brands.length > 1"
        quaternary
        @click="rebranding = true"
      >
        <Palette :size="16" aria-hidden="true" /> Change brand
      </NButton>
      <NButton tag="a" quaternary :href="`/api/crates/${crate.id}/bundle`" download>
        <Download :size="16" aria-hidden="true" /> Export
      </NButton>
      <DeleteButton
        :name="`the crate ${crate.name}`"
        title="Delete it with its pieces; they can be brought back for 30 days"
        @remove="remove('crate', crate.id, crate.name)"
      />
    </header>
    <CrateBrand v-model:shown="rebranding" :crate="crate" />
    <p v-if="crate.pieces.length === 0" class="quiet">
      Nothing here yet. Start with what the first piece should say.
    </p>
    <div v-else class="pieces">
      <div
        v-for="piece in crate.pieces"
        :key="piece.id"
        v-near="piece.id"
        class="room"
        :style="{
          minWidth: `${cardOf(piece, library.placementOf).width}px`,
          minHeight: `${ROOM_HEIGHT}px`,
        }"
      >
        <PieceCard
          v-if="near.has(piece.id)"
          :piece="piece"
          :elsewhere="elsewhere"
          :selected="selection.has(piece.id)"
          :of-set="piece.set ? (inSets.get(piece.set) ?? 0) : 0"
          @select="$event ? selection.toggleTo(piece.id, order) : selection.toggle(piece.id)"
          @start="emit('start', crate.id, piece.id)"
          @keep="keep(piece.id, $event)"
          @remove="remove('piece', piece.id, piece.title)"
        />
      </div>
    </div>
    <details v-if="crate.archived.length" class="archived">
      <summary>{{ counted(crate.archived.length, "piece") }} archived</summary>
      <ArchivedList :pieces="crate.archived" />
    </details>
  </section>
</template>

<style scoped>
.crate {
  padding-bottom: 40px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  padding-bottom: 8px;
  margin-bottom: 16px;
  border-bottom: 1px solid var(--line);
}

.crate-name {
  min-width: 90px;
  padding: 2px 6px;
  margin-left: -7px;
  font: 650 18px/1.2 var(--title);
  field-sizing: content;
}

.archived {
  padding-top: 16px;
  color: var(--quiet);
}

.brand {
  display: inline-flex;
  align-items: center;
  gap: 12px;
  color: var(--quiet);
  font-size: 13px;
}

.colours {
  display: inline-flex;
  gap: 1px;
}

.colours i {
  width: 12px;
  height: 12px;
  box-shadow: inset 0 0 0 1px rgb(0 0 0 / 0.08);
}

.brand,
h2 {
  white-space: nowrap;
}

.space {
  flex: 1;
}

.room {
  max-width: 100%;
}

.pieces {
  display: flex;
  flex-wrap: wrap;
  gap: 32px;
  align-items: end;
}
</style>
