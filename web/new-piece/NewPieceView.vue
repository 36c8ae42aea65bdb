<script setup lang="ts">
import { useLocalStorage } from "@vueuse/core";
import { computed, onMounted, ref, useTemplateRef, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import type { FileId } from "../../core/files";
import { pictureNames, unknownPictures } from "../../core/strip";
import { needsPictures, type Template } from "../../core/templates";
import { api } from "../api/client";
import ImportJson from "../common/ImportJson.vue";
import PageBar from "../common/PageBar.vue";
import { pasteMarked } from "../workbench/message/pasted";
import PicturePicks from "./PicturePicks.vue";
import { MOST_OUTLINE } from "../../core/api";
import { counted } from "../common/counted";
import { picturesFor, PREVIEW, previewOf } from "../common/previews";
import SortedLines from "./SortedLines.vue";
import { isFound, NO_FILTERS, type Filters } from "./template-filters";
import TemplateFilters from "./TemplateFilters.vue";
import TemplateTile from "./TemplateTile.vue";
import ArticleCut from "./ArticleCut.vue";
import CarouselTile from "./CarouselTile.vue";
import ChoiceBar from "../ui/ChoiceBar.vue";
import { useSaid } from "./use-said";
import { useOffers } from "./use-offers";
import { useLibrary } from "../common/library";
import { useTemplates } from "./templates";
import { useToasts } from "../common/toasts";
import SelectField from "../ui/SelectField.vue";
import TextField from "../ui/TextField.vue";
import { byName } from "../ui/options";

/** A new piece begins with what it should say; then the templates that suit that best, live in the brand. */
const props = defineProps<{ into?: string }>();

const library = useLibrary();
const list = useTemplates();
const toasts = useToasts();
const router = useRouter();

const { typed, lines, words, saysAnything, kind, isWritten, outline, outlineText, correct } =
  useSaid();
const KINDS = [
  { value: "graphic", label: "One graphic" },
  { value: "carousel", label: "Carousel" },
] as const;
const chosen = ref<FileId[]>([]);
const brandId = ref("");
const crateId = ref(props.into ?? "");
const route = useRoute();
const called = typeof route.query.find === "string" ? route.query.find : "";
if (route.query.kind === "carousel") kind.value = "carousel";
const filters = ref<Filters>({ ...NO_FILTERS, find: called });
const failure = ref("");
const busy = ref(false);
const favourites = useLocalStorage<string[]>("favourite-templates", []);
const recent = useLocalStorage<string[]>("recent-templates", []);

const writing = useTemplateRef("writing");

onMounted(async () => {
  // Whoever wants a new piece writes; whoever looks through templates looks.
  if (props.into) writing.value?.focus();
  try {
    await Promise.all([list.load(), library.state === "ready" ? undefined : library.load()]);
  } catch (error) {
    failure.value = (error as Error).message;
  }
});

const crate = computed(() => library.crates.find(({ id }) => id === crateId.value));
watch(
  () => [library.crates, library.brands] as const,
  () => {
    crateId.value ||= library.crates[0]?.id ?? "";
    brandId.value ||= crate.value?.brand ?? library.brands[0]?.id ?? "";
  },
  { immediate: true },
);
watch(crateId, () => (brandId.value = crate.value?.brand ?? brandId.value));
const brand = computed(() => library.brandById.get(brandId.value));

const isCarousel = computed(() => kind.value === "carousel");

/** Recent ones and favourites first as long as there are no words to judge by. */
const found = computed(() => {
  const of = isCarousel.value ? list.carousels : list.graphics;
  const all = of.filter((template) => isFound(template, filters.value));
  const bare =
    (outline.value.length > 0 || photographs.value.length === 0) &&
    chosen.value.length === 0 &&
    outline.value.every(({ pictures }) => pictures.length === 0);
  const rank = (template: Template) => (bare && needsPictures(template) ? 1 : rankOf(template));
  return [...all].sort((a, b) => rank(a) - rank(b));
});
const rankOf = ({ id }: Template): number =>
  saysAnything.value ? 0 : favourites.value.includes(id) ? -2 : recent.value.includes(id) ? -1 : 0;

/** Only this brand's own pictures stand in for those that a template was drawn for. */
const photographs = computed(() => library.photographsOf(brandId.value));
const wanted = computed(() => ({
  words: isCarousel.value ? {} : words.value,
  outline: outline.value,
  names: pictureNames(photographs.value),
  pictures: chosen.value,
  shelf: photographs.value.map(({ id }) => id),
}));
const unknown = computed(() => unknownPictures(outline.value, pictureNames(photographs.value)));
/** A template shows the same pictures wherever filters and fit put it. */
const placeOf = (template: Template): number => list.templates.indexOf(template);
const pieces = computed(() => {
  const kit = brand.value;
  if (!kit) return [];
  return found.value.map((template) => ({
    template,
    piece: previewOf(template, kit, placeOf(template), wanted.value),
  }));
});
const { ordered: previews, busy: weighing } = useOffers({
  pieces: () => pieces.value,
  brand: () => brand.value,
  wanted: () => saysAnything.value || chosen.value.length > 0,
});

async function begin(template: Template): Promise<void> {
  if (busy.value || !crateId.value) return;
  busy.value = true;
  try {
    const { piece } = await api.beginPiece(crateId.value, {
      template: template.id,
      words: wanted.value.words,
      ...(outlineText.value ? { outline: outlineText.value } : {}),
      pictures: picturesFor(template, placeOf(template), wanted.value),
    });
    recent.value = [template.id, ...recent.value.filter((id) => id !== template.id)].slice(0, 6);
    await library.load();
    await router.push({ name: "piece", params: { id: piece.id, step: "message" } });
  } catch (error) {
    toasts.fail(error);
  } finally {
    busy.value = false;
  }
}

const toggled = (all: readonly string[], one: string): string[] =>
  all.includes(one) ? all.filter((other) => other !== one) : [...all, one];

async function remove(template: Template): Promise<void> {
  try {
    await list.remove(template.id);
  } catch (error) {
    toasts.fail(error);
  }
}

async function take(template: unknown): Promise<void> {
  try {
    const { name } = await api.importTemplate(template);
    await list.load();
    toasts.tell(`“${name}” is now among your templates.`);
  } catch (error) {
    toasts.fail(error);
  }
}
</script>

<template>
  <div class="page">
    <PageBar title="New piece">
      <label class="in">
        <span class="quiet">into</span>
        <SelectField
          v-model="crateId"
          class="field"
          label="Crate"
          :options="byName(library.crates)"
        />
      </label>
      <label class="in">
        <span class="quiet">shown in</span>
        <SelectField
          v-model="brandId"
          class="field brand"
          label="Shown in"
          :options="byName(library.brands)"
        />
      </label>
      <ImportJson
        label="Import a template"
        what="A template to import"
        @read="take"
        @failed="toasts.fail"
      />
    </PageBar>
    <div class="columns">
      <aside aria-label="Message">
        <h2><label for="typed">What should it say?</label></h2>
        <ChoiceBar v-model="kind" label="What to make" :options="KINDS" />
        <TextField
          ref="writing"
          v-model="typed"
          input-id="typed"
          class="typed"
          :rows="isCarousel ? 14 : 7"
          :maxlength="MOST_OUTLINE"
          :placeholder="
            isCarousel
              ? 'Type or paste an outline: # and a headline for each slide, text or - points beneath.'
              : 'Type or paste a few lines: a headline, when, where, what it costs, what to do.'
          "
          @paste="pasteMarked"
        />
        <ArticleCut v-if="isCarousel" v-model="typed" :is-outline="isWritten" />
        <p v-if="isCarousel && saysAnything" class="quiet small">
          {{ counted(outline.length, "slide") }}. A line of # or --- begins the next; pictures go in
          by name: <code>![what it shows](name)</code>.
        </p>
        <p v-if="unknown.length > 0" class="failure" role="alert">
          No picture is called {{ unknown.map((name) => `“${name}”`).join(", ") }}. Add it below, or
          write the name as it stands under Pictures.
        </p>
        <template v-if="saysAnything && !isCarousel">
          <p class="quiet small">Sorted automatically. Change what is wrong.</p>
          <SortedLines :model-value="lines" @update:model-value="correct" />
        </template>
        <PicturePicks v-model="chosen" :brand="brandId" />
      </aside>
      <main>
        <TemplateFilters v-model="filters" :templates="list.templates" />
        <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
        <p v-else-if="!brand || list.templates.length === 0" class="quiet">
          Opening the templates …
        </p>
        <p v-else-if="previews.length === 0" class="quiet">
          No template matches. Remove a filter or try another word.
        </p>
        <template v-else-if="brand">
          <h2 v-if="saysAnything">Best matches</h2>
          <div v-if="isCarousel" class="strips" :aria-busy="busy || weighing">
            <CarouselTile
              v-for="{ template, piece } in previews"
              :key="template.id"
              :template="template"
              :piece="piece"
              :brand="brand"
              :favourite="favourites.includes(template.id)"
              :house="list.house.includes(template.id)"
              @pick="begin(template)"
              @favour="favourites = toggled(favourites, template.id)"
              @remove="remove(template)"
            />
          </div>
          <div v-else class="tiles" :aria-busy="busy || weighing">
            <TemplateTile
              v-for="({ template, piece }, index) in previews"
              :key="template.id"
              :class="{ best: saysAnything && index < 3 }"
              :template="template"
              :piece="piece"
              :brand="brand"
              :area="saysAnything && index < 3 ? 62000 : PREVIEW.area"
              :favourite="favourites.includes(template.id)"
              :house="list.house.includes(template.id)"
              @pick="begin(template)"
              @favour="favourites = toggled(favourites, template.id)"
              @remove="remove(template)"
            />
          </div>
        </template>
      </main>
    </div>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  flex: 1;
  grid-template-rows: auto minmax(0, 1fr);
  min-height: 0;
}

.in {
  white-space: nowrap;
  display: flex;
  gap: 8px;
  align-items: center;
}

.brand {
  max-width: 240px;
}

.columns {
  display: grid;
  grid-template-columns: 340px minmax(0, 1fr);
  min-height: 0;
}

aside {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  align-content: start;
  padding: 18px 22px 40px;
  overflow: auto;
  border-right: 1px solid var(--line);
  background: var(--card);
}

.typed {
  font-size: 15px;
}

main {
  padding: 18px 22px 48px;
  overflow: auto;
}

h2 {
  padding-bottom: 12px;
}

aside h2 {
  padding: 0;
}

.strips {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 26px;
}

.tiles {
  display: flex;
  flex-wrap: wrap;
  gap: 28px 24px;
  align-items: end;
}
</style>
