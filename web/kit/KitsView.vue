<script setup lang="ts">
import { Lock, Plus } from "@lucide/vue";
import { NEmpty } from "naive-ui";
import { computed } from "vue";
import { typefacesOf } from "../../core/brand";
import { counted } from "../common/counted";
import { useLibrary } from "../common/library";
import PageBar from "../common/PageBar.vue";
import LinkButton from "../ui/LinkButton.vue";
import LogoPlate from "./LogoPlate.vue";
import { sampleStyle, useTypefaces } from "./use-typeface";
import LibraryState from "../common/LibraryState.vue";

/** All brand kits: each with its logo, its colours, a line in its own type, and how much is made with it. */
const library = useLibrary();
const kits = computed(() =>
  library.brands.map((brand) => ({
    brand,
    locked: library.lockedBrands.has(brand.id),
    crates: library.crates.filter((crate) => crate.brand === brand.id).length,
    pieces: library.crates.flatMap(({ pieces }) => pieces).filter((p) => p.brand === brand.id)
      .length,
  })),
);

useTypefaces(() =>
  library.brands.flatMap((brand) => typefacesOf(brand).map(({ faces }) => faces[0]!.file)),
);
</script>

<template>
  <PageBar title="Brand kits">
    <LinkButton main :to="{ name: 'new-brand' }">
      <Plus :size="16" aria-hidden="true" /> New brand kit
    </LinkButton>
  </PageBar>
  <main>
    <LibraryState what="the brand kits">
      <NEmpty v-if="kits.length === 0" description="No brand kit yet.">
        <template #extra>
          <LinkButton :to="{ name: 'new-brand' }">Make one from a logo or a screenshot</LinkButton>
        </template>
      </NEmpty>
      <ul v-else>
        <li v-for="{ brand, locked, crates, pieces } in kits" :key="brand.id">
          <RouterLink :to="{ name: 'brand', params: { id: brand.id } }">
            <LogoPlate
              v-if="brand.logos[0]"
              :logo="brand.logos[0]"
              :colours="brand.colours"
              class="plate"
            />
            <span v-else class="plate none quiet small">No logo yet</span>
            <span class="colours" aria-hidden="true">
              <i
                v-for="colour in brand.colours"
                :key="colour.id"
                :style="{ background: colour.hex }"
              ></i>
            </span>
            <span class="line" :style="sampleStyle(brand.typefaces.headline)">{{
              brand.name
            }}</span>
          </RouterLink>
          <h2>
            {{ brand.name }}
            <Lock v-if="locked" :size="14" aria-label="locked" />
          </h2>
          <p class="quiet small number">
            {{ counted(crates, "crate") }}, {{ counted(pieces, "piece") }}
          </p>
        </li>
      </ul>
    </LibraryState>
  </main>
</template>

<style scoped>
main {
  padding: 0 24px 64px;
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 32px 24px;
  padding: 0;
  margin: 0;
  list-style: none;
}

li > a {
  display: grid;
  border: 1px solid var(--line);
  background: var(--card);
  color: var(--ink);
  text-decoration: none;
}

li > a:hover {
  border-color: var(--leaf);
}

.plate {
  height: 150px;
  border: 0;
  outline: 0;
}

.none {
  display: grid;
  place-items: center;
}

.colours {
  display: flex;
  height: 24px;
}

.colours i {
  flex: 1;
}

.line {
  overflow: hidden;
  padding: 12px 16px;
  font-size: 24px;
  line-height: 1.3;
  text-overflow: ellipsis;
  white-space: nowrap;
}

h2 {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-top: 10px;
  font-size: 15px;
}
</style>
