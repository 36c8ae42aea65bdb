<script setup lang="ts">
import { ImagePlus } from "@lucide/vue";
import { useDropZone, useLocalStorage } from "@vueuse/core";
import { NEmpty } from "naive-ui";
import { computed, reactive, ref, useTemplateRef } from "vue";
import { useAddPictures } from "../common/add-pictures";
import { counted } from "../common/counted";
import { useLibrary } from "../common/library";
import PageBar from "../common/PageBar.vue";
import FileButton from "../ui/FileButton.vue";
import SelectField from "../ui/SelectField.vue";
import TextField from "../ui/TextField.vue";
import { COLOURS, isWanted, SHAPES, USES, usersOf, type PictureFilter } from "./picture-filter";
import PictureDetail from "./PictureDetail.vue";
import PictureGrid from "./PictureGrid.vue";
import { byName } from "../ui/options";
import LibraryState from "../common/LibraryState.vue";

/** The shelf of one brand: all its pictures, found by name, colour, shape and use. No brand sees another's. */
const library = useLibrary();
const brandId = useLocalStorage("pictures-of", "");
const filter = reactive<PictureFilter>({ find: "", colour: "", shape: "", use: "" });
const open = ref<string>();

const brand = computed(() => library.brandById.get(brandId.value) ?? library.brands[0]);
const users = computed(() =>
  usersOf(library.crates.flatMap(({ pieces, archived }) => [...pieces, ...archived])),
);
const all = computed(() => (brand.value ? library.photographsOf(brand.value.id) : []));
const found = computed(() =>
  all.value.filter((picture) => isWanted(picture, users.value.has(picture.id), filter)),
);
const current = computed(() => all.value.find(({ id }) => id === open.value));
const { progress, add } = useAddPictures(() => brand.value?.id);

const page = useTemplateRef("page");
const { isOverDropZone } = useDropZone(page, { onDrop: (files) => void add(files) });
</script>

<template>
  <PageBar title="Pictures">
    <template #beside>
      <SelectField
        v-if="brand"
        class="brand"
        label="Pictures of"
        :model-value="brand.id"
        :options="byName(library.brands)"
        @update:model-value="((brandId = $event ?? ''), (open = undefined))"
      />
    </template>
    <FileButton
      main
      multiple
      label="Add pictures"
      accept="image/*"
      :disabled="progress !== '' || !brand"
      @open="add"
    >
      <template #text>
        <ImagePlus :size="16" aria-hidden="true" />
        {{ progress ? `Storing ${progress} …` : "Add pictures" }}
      </template>
    </FileButton>
  </PageBar>
  <div ref="page" class="columns" :class="{ over: isOverDropZone }">
    <main>
      <LibraryState what="the pictures">
        <div class="filters">
          <TextField
            v-model="filter.find"
            label="Find a picture"
            placeholder="Find by name or credit"
            clearable
          />
          <SelectField v-model="filter.colour" label="Colour" :options="COLOURS" />
          <SelectField v-model="filter.shape" label="Shape" :options="SHAPES" />
          <SelectField v-model="filter.use" label="Use" :options="USES" />
          <span class="quiet number">{{ counted(found.length, "picture") }}</span>
        </div>
        <NEmpty v-if="all.length === 0" description="No pictures yet. Drop some here." />
        <NEmpty v-else-if="found.length === 0" description="No picture is like that." />
        <PictureGrid v-else v-model:open="open" :pictures="found" :users="users" />
      </LibraryState>
    </main>
    <PictureDetail
      v-if="current && brand"
      :key="current.id"
      :picture="current"
      :brand="brand.id"
      :users="users.get(current.id) ?? []"
      @close="open = undefined"
    />
  </div>
</template>

<style scoped>
.brand {
  width: 260px;
}

.columns {
  display: flex;
  gap: 24px;
  align-items: start;
  padding: 0 24px 64px;
}

.over {
  outline: 3px dashed var(--zest);
  outline-offset: -8px;
}

main {
  display: grid;
  flex: 1;
  gap: 20px;
  justify-items: start;
  min-width: 0;
}

.filters {
  display: grid;
  grid-template-columns: minmax(0, 260px) 140px 140px 140px auto;
  gap: 12px;
  align-items: center;
}
</style>
