<script setup lang="ts">
import { Download, Plus, Shirt } from "@lucide/vue";
import { computed, ref } from "vue";
import type { CrateAnswer } from "../../core/api";
import { useLibrary } from "../stores/library";
import DressCrate from "./DressCrate.vue";
import PieceCard from "./PieceCard.vue";

const props = defineProps<{ crate: CrateAnswer }>();
const emit = defineEmits<{ start: [crate: string, from: string] }>();

const library = useLibrary();
const dressing = ref(false);
const brand = computed(() => library.brandById.get(props.crate.brand));
</script>

<template>
  <section class="crate" :aria-label="crate.name">
    <header>
      <h2>{{ crate.name }}</h2>
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
      <RouterLink class="button" :to="{ name: 'new-piece', params: { into: crate.id } }">
        <Plus :size="16" aria-hidden="true" /> New piece
      </RouterLink>
      <button
        v-if="crate.pieces.length > 0 && library.brands.length > 1"
        class="button plain"
        @click="dressing = true"
      >
        <Shirt :size="16" aria-hidden="true" /> Dress anew
      </button>
      <a class="button plain" :href="`/api/crates/${crate.id}/bundle`" download>
        <Download :size="16" aria-hidden="true" /> Export
      </a>
    </header>
    <DressCrate v-model:shown="dressing" :crate="crate" />
    <p v-if="crate.pieces.length === 0" class="quiet">
      This crate is empty. Begin with what the first piece should say.
    </p>
    <div v-else class="pieces">
      <PieceCard
        v-for="piece in crate.pieces"
        :key="piece.id"
        :piece="piece"
        @start="emit('start', crate.id, piece.id)"
      />
    </div>
  </section>
</template>

<style scoped>
.crate {
  padding-bottom: 40px;
}

header {
  display: flex;
  align-items: baseline;
  gap: 16px;
  padding-bottom: 8px;
  margin-bottom: 16px;
  border-bottom: 1px solid var(--line);
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

.space {
  flex: 1;
}

.pieces {
  display: flex;
  flex-wrap: wrap;
  gap: 32px;
  align-items: end;
}
</style>
