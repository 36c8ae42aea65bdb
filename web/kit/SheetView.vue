<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed } from "vue";
import { brandSheet } from "../../core/specimen";
import PageBar from "../common/PageBar.vue";
import SpecimenSheet from "./SpecimenSheet.vue";
import { useLibrary } from "../common/library";
import LibraryState from "../common/LibraryState.vue";

/** The brand sheet: three pages to send to whoever works with the brand. */
const props = defineProps<{ id: string }>();

const library = useLibrary();
const brand = computed(() => library.brandById.get(props.id));
const pages = computed(() => (brand.value ? brandSheet(brand.value) : []));
const pageName = (id: string): string => id.replace(/^sheet-/, "");
</script>

<template>
  <PageBar title="Brand sheet">
    <template #before>
      <RouterLink :to="{ name: 'brand', params: { id } }">{{
        brand?.name ?? "Brand kit"
      }}</RouterLink>
    </template>
    <NButton
      v-if="brand"
      tag="a"
      type="primary"
      :href="`/api/brands/${id}/sheet?format=pdf`"
      download
    >
      The sheet as PDF
    </NButton>
  </PageBar>
  <main>
    <LibraryState what="the brand kit">
      <p v-if="!brand">
        There is no such brand kit. <RouterLink to="/">Go to the crates</RouterLink>
      </p>
      <section v-for="page in pages" v-else :key="page.id" :aria-label="page.title">
        <SpecimenSheet :page="page" :brand="brand" />
        <p>
          <span>{{ page.title }}</span>
          <a
            class="button plain"
            :href="`/api/brands/${id}/sheet?format=png&page=${pageName(page.id)}`"
            download
            >This page as PNG</a
          >
        </p>
      </section>
    </LibraryState>
  </main>
</template>

<style scoped>
main {
  display: grid;
  gap: 32px;
  max-width: 1120px;
  padding: 24px;
  margin: 0 auto;
}

section p {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin: 8px 0 0;
}
</style>
