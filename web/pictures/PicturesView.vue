<script setup lang="ts">
import { ImagePlus } from "@lucide/vue";
import { useDropZone, useLocalStorage } from "@vueuse/core";
import { NEmpty } from "naive-ui";
import { computed, reactive, ref, useTemplateRef } from "vue";
import { useAddPictures } from "../common/add-pictures";
import { counted } from "../common/counted";
import { useLibrary } from "../common/library";
import PageBar from "../common/PageBar.vue";
import { useVirtualGrid } from "../common/use-virtual-grid";
import FileButton from "../ui/FileButton.vue";
import SelectField from "../ui/SelectField.vue";
import RestingImage from "../ui/RestingImage.vue";
import TextField from "../ui/TextField.vue";
import { COLOURS, isWanted, SHAPES, USES, usersOf, type PictureFilter } from "./picture-filter";
import PictureDetail from "./PictureDetail.vue";
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
const {
  columns,
  shown: cells,
  before,
  after,
} = useVirtualGrid({
  items: () => found.value,
  box: useTemplateRef("shelf"),
  cell: { width: 180, height: 236 },
  gap: { columns: 16, rows: 24 },
});
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
        <ul
          v-else
          ref="shelf"
          class="pictures"
          :style="{ '--columns': columns, paddingTop: `${before}px`, paddingBottom: `${after}px` }"
        >
          <li
            v-for="{ item: picture, place } in cells"
            :key="picture.id"
            :aria-setsize="found.length"
            :aria-posinset="place"
          >
            <button
              class="picture"
              :aria-pressed="picture.id === open"
              :aria-label="picture.name"
              @click="open = picture.id === open ? undefined : picture.id"
            >
              <RestingImage
                :src="`/api/pictures/${picture.id}/rendition?width=320`"
                :width="picture.width"
                :height="picture.height"
              />
            </button>
            <span class="name">{{ picture.name }}</span>
            <span class="quiet small number">
              {{ picture.width }} × {{ picture.height
              }}{{
                users.has(picture.id)
                  ? `, in ${counted(users.get(picture.id)!.length, "piece")}`
                  : ", not used"
              }}
            </span>
          </li>
        </ul>
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

.pictures {
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
  grid-auto-rows: 236px;
  gap: 24px 16px;
  width: 100%;
  padding: 0;
  margin: 0;
  list-style: none;
}

li {
  display: grid;
  gap: 2px;
  align-content: start;
  min-width: 0;
}

.picture {
  display: grid;
  height: 180px;
  padding: 0;
  border: 1px solid var(--line);
  background: var(--card);
  cursor: pointer;
  place-items: center;
}

.picture:hover {
  border-color: var(--leaf);
}

.picture[aria-pressed="true"] {
  outline: 3px solid var(--zest);
}

img {
  width: auto;
  max-width: 100%;
  height: auto;
  max-height: 178px;
}

.name,
.small {
  overflow: hidden;
  line-height: 1.45;
  margin-top: 6px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
