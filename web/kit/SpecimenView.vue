<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref, shallowRef } from "vue";
import type { FontAnswer } from "../../core/api";
import { inFont, specimen } from "../../core/specimen";
import PageBar from "../common/PageBar.vue";
import FontTrial from "./FontTrial.vue";
import PictureShelf from "../common/PictureShelf.vue";
import SpecimenSheet from "./SpecimenSheet.vue";
import { useLibrary } from "../common/library";
import LibraryState from "../common/LibraryState.vue";

/** What can be painted in a brand, page by page, on screen as it is exported. */
const props = defineProps<{ id: string }>();

const library = useLibrary();
const chosenPicture = ref<string>();
const shelf = ref(false);
const font = shallowRef<FontAnswer>();
const kit = computed(() => library.brandById.get(props.id));
const brand = computed(
  () => kit.value && (font.value ? inFont(kit.value, font.value.id) : kit.value),
);
const picture = computed(() => chosenPicture.value ?? library.photographsOf(props.id)[0]?.id);
const pages = computed(() => (brand.value ? specimen(brand.value, picture.value) : []));
const current = ref("families");
const page = computed(() => pages.value.find(({ id }) => id === current.value) ?? pages.value[0]);

function address(format: "png" | "svg"): string {
  const query = new URLSearchParams({ format });
  if (picture.value) query.set("picture", picture.value);
  if (font.value) query.set("font", font.value.id);
  return `/api/brands/${props.id}/specimen/${page.value?.id}?${query.toString()}`;
}
</script>

<template>
  <PageBar title="Specimen">
    <template #before>
      <RouterLink :to="{ name: 'brand', params: { id } }">{{
        kit?.name ?? "Brand kit"
      }}</RouterLink>
    </template>
  </PageBar>
  <main>
    <LibraryState what="the brand kit">
      <p v-if="!brand || !page">
        There is no such brand kit. <RouterLink to="/">Go to the crates</RouterLink>
      </p>
      <template v-else>
        <aside>
          <nav aria-label="Pages">
            <button
              v-for="one in pages"
              :key="one.id"
              :aria-current="one.id === page.id ? 'page' : undefined"
              @click="current = one.id"
            >
              {{ one.title }}
            </button>
          </nav>
          <section aria-label="As a file">
            <h2>This page as a file</h2>
            <p class="row">
              <NButton tag="a" :href="address('png')" download>PNG</NButton>
              <NButton tag="a" :href="address('svg')" download>SVG</NButton>
            </p>
          </section>
          <section aria-label="Its picture">
            <h2>Its picture</h2>
            <NButton @click="shelf = true">Choose another</NButton>
          </section>
          <FontTrial v-model="font" />
        </aside>
        <SpecimenSheet :key="page.id" :page="page" :brand="brand" />
        <PictureShelf v-model:shown="shelf" :brand="id" @picked="chosenPicture = $event" />
      </template>
    </LibraryState>
  </main>
</template>

<style scoped>
main {
  display: grid;
  grid-template-columns: 232px 1fr;
  gap: 24px;
  align-items: start;
  padding: 24px;
}

aside {
  position: sticky;
  top: 24px;
  display: grid;
  gap: 28px;
}

nav {
  display: grid;
  border-top: 1px solid var(--line);
}

nav button {
  padding: 8px 0 8px 10px;
  border: 0;
  border-bottom: 1px solid var(--line);
  border-left: 3px solid transparent;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

nav button[aria-current] {
  border-left-color: var(--zest);
  font-weight: 650;
}

section h2 {
  margin-bottom: 8px;
}

.row {
  display: flex;
  gap: 8px;
  margin: 0;
}
</style>
