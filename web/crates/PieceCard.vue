<script setup lang="ts">
import { NButton, NCheckbox, NDropdown } from "naive-ui";
import { Archive, CopyPlus, FolderInput } from "@lucide/vue";
import { computed } from "vue";
import type { ListedPiece, PieceFiling } from "../../core/api";
import { useLibrary } from "../common/library";
import { usePieceOf } from "../common/pieces";
import { useWall } from "../wall/use-wall";
import DeleteButton from "../common/DeleteButton.vue";
import GraphicTile from "../common/GraphicTile.vue";
import { CARD_HEIGHT, cardOf, OTHER_WIDTH, widthAt } from "./card";

/** A piece on its crate's shelf: the lead size, and three others small beside it. */
const props = defineProps<{
  piece: ListedPiece;
  /** The crates that it can be moved to. */
  elsewhere: readonly { id: string; name: string }[];
  selected: boolean;
  /** How many pieces are in its set. */
  ofSet: number;
}>();
const emit = defineEmits<{
  start: [];
  keep: [filing: PieceFiling];
  remove: [];
  select: [all: boolean];
}>();

const library = useLibrary();
const whole = usePieceOf(() => props.piece);
const wall = useWall({
  piece: () => whole.value,
  brand: () => library.brandById.get(props.piece.brand),
});

const moves = computed(() => props.elsewhere.map(({ id, name }) => ({ key: id, label: name })));
const move = (crate: string): void => keep({ crate });
const keep = (filing: PieceFiling): void => emit("keep", filing);

const shown = computed(() => cardOf(props.piece, library.placementOf));
const kinds = { post: "Post", carousel: "Carousel", story: "Story", ad: "Ad" };
</script>

<template>
  <article class="card" :class="{ selected }">
    <NCheckbox
      class="choose"
      :checked="selected"
      :aria-label="`Select ${piece.title}`"
      @click.capture.prevent.stop="emit('select', $event.shiftKey)"
      @keyup.space.capture.prevent.stop="emit('select', false)"
    />
    <RouterLink
      class="graphics"
      :to="{ name: 'piece', params: { id: piece.id, step: 'sizes' } }"
      :aria-label="`Open ${piece.title}`"
    >
      <GraphicTile
        v-if="shown.lead"
        :wall="wall"
        :placement="shown.lead"
        :width="widthAt(CARD_HEIGHT, shown.lead)"
        :label="`${piece.title}, ${shown.lead.name}`"
      />
      <span class="others">
        <GraphicTile
          v-for="placement in shown.others"
          :key="placement.id"
          :wall="wall"
          :placement="placement"
          :width="Math.min(OTHER_WIDTH, widthAt(CARD_HEIGHT / 2 - 4, placement))"
          :label="`${piece.title}, ${placement.name}`"
        />
      </span>
    </RouterLink>
    <footer>
      <div>
        <h3>{{ piece.title }}</h3>
        <p class="quiet small">
          {{ kinds[piece.kind] }}, {{ piece.sizes.length }} sizes<template v-if="ofSet > 1"
            >, in a set of {{ ofSet }}</template
          >
        </p>
        <p v-if="piece.origin" class="quiet small">
          {{ piece.origin.kind === "template" ? "started from" : "a copy of" }}
          {{ piece.origin.name }}
        </p>
      </div>
      <NDropdown v-if="elsewhere.length" trigger="click" :options="moves" @select="move">
        <NButton
          quaternary
          :aria-label="`Move ${piece.title} to another crate`"
          title="Move it to another crate"
        >
          <FolderInput :size="16" aria-hidden="true" />
        </NButton>
      </NDropdown>
      <NButton
        quaternary
        :aria-label="`Archive ${piece.title}`"
        title="Archive it"
        @click="keep({ archived: true })"
      >
        <Archive :size="16" aria-hidden="true" />
      </NButton>
      <NButton
        quaternary
        :aria-label="`Start a new piece from ${piece.title}`"
        title="Start a new piece from this one"
        @click="emit('start')"
      >
        <CopyPlus :size="16" aria-hidden="true" />
      </NButton>
      <DeleteButton :name="piece.title" @remove="emit('remove')" />
    </footer>
  </article>
</template>

<style scoped>
.card {
  position: relative;
}

.choose {
  position: absolute;
  top: 8px;
  left: 8px;
  z-index: 2;
  opacity: 0;
}

.card:hover .choose,
.card:focus-within .choose,
.selected .choose {
  opacity: 1;
}

.selected .graphics {
  outline: 3px solid var(--zest);
  outline-offset: 3px;
}

.graphics {
  min-height: 240px;
  display: flex;
  max-width: 100%;
  overflow: hidden;
  gap: 8px;
  align-items: end;
}

.others {
  display: grid;
  gap: 8px;
  align-content: end;
}

footer .n-button {
  padding: 0 8px;
}

footer > div {
  flex: 1;
  padding-right: 8px;
}

footer {
  display: flex;
  align-items: center;
  min-height: 56px;
  gap: 2px;
  padding-top: 8px;
}
</style>
