<script setup lang="ts">
import { computed } from "vue";
import { defaultSpread } from "../../core/brand";
import { sameSpread, spreads, type Spread } from "../../core/colour";
import InLedger from "../parts/InLedger.vue";
import SpreadCard from "../parts/SpreadCard.vue";
import { useLibrary } from "../stores/library";
import { usePiece } from "../stores/piece";

/** The brand, and the ways of spreading its colours over the piece. */
const library = useLibrary();
const open = usePiece();

const MOST = 12;
/** The piece's own first, then the best; no two with the same ground and button: they would look alike. */
const choices = computed(() => {
  if (!open.brand) return [];
  const seen = new Set<string>();
  return [current.value, ...spreads(open.brand.colours)]
    .filter((spread) => {
      const look = `${spread.backdrop}|${spread.action}`;
      if (seen.has(look)) return false;
      seen.add(look);
      return true;
    })
    .slice(0, MOST);
});
const current = computed<Spread>(() => {
  const spread = open.piece?.spread ?? {};
  return Object.keys(spread).length > 0 || !open.brand ? spread : defaultSpread(open.brand);
});

function dress(brand: string, spread: Spread): void {
  if (!open.piece) return;
  const was = { brand: open.piece.brand, spread: open.piece.spread };
  open.change({ kind: "dress", to: { brand, spread }, was });
}
</script>

<template>
  <div class="look">
    <h2>Look</h2>
    <InLedger>
      <label>
        Brand
        <select
          class="field"
          :value="open.piece?.brand"
          @change="dress(($event.target as HTMLSelectElement).value, {})"
        >
          <option v-for="brand in library.brands" :key="brand.id" :value="brand.id">
            {{ brand.name }}
          </option>
        </select>
      </label>
    </InLedger>
    <p class="quiet">Every spread below meets the contrast that readable words need.</p>
    <p v-if="choices.length === 0" class="quiet">
      No two colours of this brand can be read on each other. Add a darker or lighter one to the
      brand kit.
    </p>
    <div v-else-if="open.piece && open.brand" class="choices">
      <SpreadCard
        v-for="spread in choices"
        :key="`${open.brand.id}-${spread.backdrop}-${spread.action}`"
        :piece="open.piece"
        :brand="open.brand"
        :spread="spread"
        :current="sameSpread(spread, current)"
        @pick="dress(open.brand!.id, spread)"
      />
    </div>
  </div>
</template>

<style scoped>
.look {
  padding: 16px 22px 48px;
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
</style>
