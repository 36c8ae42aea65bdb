<script setup lang="ts">
import { NEmpty } from "naive-ui";
import { computed, ref } from "vue";
import { useLibrary } from "../common/library";
import LibraryState from "../common/LibraryState.vue";
import PageBar from "../common/PageBar.vue";
import TextField from "../ui/TextField.vue";
import ArchivedList from "./ArchivedList.vue";

/** What was archived in all crates, found by name. */
const library = useLibrary();
const find = ref("");
const shown = computed(() => {
  const wanted = find.value.trim().toLowerCase();
  return library.crates
    .map((crate) => ({
      crate,
      pieces: crate.archived.filter(({ title }) => title.toLowerCase().includes(wanted)),
    }))
    .filter(({ pieces }) => pieces.length > 0);
});
</script>

<template>
  <PageBar title="Archive">
    <template #beside>
      <TextField
        v-model="find"
        class="find"
        label="Find an archived piece"
        placeholder="Filter by name"
        clearable
      />
    </template>
  </PageBar>
  <main>
    <LibraryState what="the archive">
      <NEmpty v-if="shown.length === 0" description="Nothing is archived under that name." />
      <section v-for="{ crate, pieces } in shown" :key="crate.id" :aria-label="crate.name">
        <h2>
          <RouterLink :to="{ name: 'crate', params: { id: crate.id } }">{{
            crate.name
          }}</RouterLink>
        </h2>
        <ArchivedList :pieces="pieces" />
      </section>
    </LibraryState>
  </main>
</template>

<style scoped>
.find {
  width: 240px;
}

main {
  display: grid;
  gap: 28px;
  max-width: 900px;
  padding: 0 24px 64px;
}
</style>
