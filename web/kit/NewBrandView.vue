<script setup lang="ts">
import { NButton, NCheckbox } from "naive-ui";
import { computed, onMounted, ref, shallowRef } from "vue";
import { useRouter } from "vue-router";
import type { BrandColour } from "../../core/brand";
import type { PictureFile } from "../../core/files";
import { makeBrand, proposedLogos } from "../../core/kit";
import { api } from "../api/client";
import GraphicTile from "../common/GraphicTile.vue";
import KitColours from "./KitColours.vue";
import LogoPlate from "./LogoPlate.vue";
import FileButton from "../ui/FileButton.vue";
import PageBar from "../common/PageBar.vue";
import TypefaceShelf from "./TypefaceShelf.vue";
import { useLibrary } from "../common/library";
import { usePieceOf } from "../common/pieces";
import { useWall } from "../wall/use-wall";
import TextField from "../ui/TextField.vue";

/** A brand kit from nothing: a logo or screenshot proposes the colours, typefaces are picked by feeling. */
const library = useLibrary();
const router = useRouter();
onMounted(() => {
  if (library.state !== "ready") void library.load();
});

const name = ref("");
const colours = ref<(BrandColour & { from?: string })[]>([
  { id: "ink", name: "Ink", hex: "#1D2B28", role: "primary" },
  { id: "paper", name: "Paper", hex: "#FFFFFF", role: "paper" },
]);
const headline = ref("fraunces");
const text = ref("figtree");
/** The logo as it came, and without its flat ground where it stood on one. */
const came = shallowRef<PictureFile>();
const bare = shallowRef<PictureFile>();
const keepGround = ref(false);
const logo = computed(() => (keepGround.value ? undefined : bare.value) ?? came.value);
const reading = ref(false);
const saving = ref(false);
const failure = ref("");

async function read(file: File | undefined): Promise<void> {
  if (!file) return;
  reading.value = true;
  failure.value = "";
  try {
    const { picture, colours: found } = await api.proposeColours(file);
    came.value = picture;
    bare.value = picture.art?.ground
      ? await api.logoVersion(picture.id, { as: "without-ground" })
      : undefined;
    keepGround.value = false;
    if (found.length > 0) colours.value = found;
    if (!name.value) name.value = nameFrom(file.name);
  } catch (error) {
    failure.value = (error as Error).message;
  } finally {
    reading.value = false;
  }
}

/** “quillmere-logo-dark.svg” is probably Quillmere's. */
function nameFrom(file: string): string {
  const words = file
    .replace(/\.[a-z]+$/i, "")
    .split(/[-_\s]+/)
    .filter((word) => !/^(logo|mark|full|on|dark|light|screenshot|final|\d+)$/i.test(word));
  return words.map((word) => word.charAt(0).toUpperCase() + word.slice(1)).join(" ");
}

const wanted = computed(() => ({
  name: name.value.trim() || "A new brand",
  colours: colours.value.map(({ name: called, hex, role }) => ({
    name: called.trim() || hex,
    hex,
    role,
  })),
  headline: { shelf: headline.value },
  text: { shelf: text.value },
  ...(logo.value ? { logo: logo.value.id, keepGround: keepGround.value } : {}),
}));
const draft = computed(() => makeBrand("draft", wanted.value, logo.value));
const pictures = computed(() => [
  ...library.pictures,
  ...[came.value, bare.value].filter((one) => one !== undefined),
]);
const pictureOf = (id: string) => pictures.value.find((one) => one.id === id);
const proposals = computed(() => (draft.value ? proposedLogos(draft.value, pictureOf) : []));

/** Any piece there is, to see the kit at work at once. */
const sample = usePieceOf(() => library.crates.flatMap((crate) => crate.pieces)[0]);
const piece = computed(() => sample.value && { ...sample.value, brand: "draft", spread: {} });
const lead = computed(() => sample.value && library.placementOf(sample.value, sample.value.lead));
const wall = useWall({
  piece: () => piece.value,
  brand: () => draft.value,
});

/** Marked from the first attempt on. */
const tried = shallowRef(false);
const dropped = shallowRef(false);
function drop(event: DragEvent): void {
  dropped.value = false;
  void read(event.dataTransfer?.files[0]);
}

async function make(): Promise<void> {
  tried.value = true;
  if (!name.value.trim()) return;
  saving.value = true;
  failure.value = "";
  try {
    const brand = await api.addBrand(wanted.value);
    await library.load();
    await router.push({ name: "brand", params: { id: brand.id } });
  } catch (error) {
    failure.value = (error as Error).message;
  } finally {
    saving.value = false;
  }
}
</script>

<template>
  <PageBar title="New brand kit">
    <NButton type="primary" :disabled="saving" @click="make">
      {{ saving ? "Making it …" : "Make the kit" }}
    </NButton>
  </PageBar>
  <main>
    <div class="set-up">
      <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
      <div class="start">
        <label class="named">
          <span class="quiet small">Name of the brand</span>
          <TextField
            v-model="name"
            class="brand-name"
            :maxlength="80"
            :error="
              tried && !name.trim()
                ? 'The brand needs a name. Everything else is ready.'
                : undefined
            "
          />
        </label>
        <div
          class="drop"
          :class="{ over: dropped }"
          @dragover.prevent="dropped = true"
          @dragleave="dropped = false"
          @drop.prevent="drop"
        >
          <img v-if="logo" :src="`/api/pictures/${logo.id}/rendition?width=320`" alt="" />
          <span class="words">
            <b>{{ reading ? "Reading its colours …" : "A logo, or a screenshot of the site" }}</b>
            <span class="quiet small">Drop it here; its colours are proposed below.</span>
          </span>
          <FileButton
            label="A logo, or a screenshot of the site"
            accept="image/*,.svg"
            :disabled="reading"
            @open="read($event[0])"
          >
            <template #text>Choose a file</template>
          </FileButton>
        </div>
      </div>
      <section v-if="draft && logo" aria-label="Its logo" class="logo">
        <div class="plates">
          <LogoPlate
            v-for="one in draft.logos"
            :key="one.file"
            :logo="one"
            :colours="draft.colours"
            :picture="logo"
          />
          <LogoPlate
            v-for="one in proposals"
            :key="`${one.logo.kind} ${one.logo.ground}`"
            :logo="one.logo"
            :colours="draft.colours"
            :picture="one.from"
            :ink="one.ink"
          />
        </div>
        <p class="quiet small">
          {{
            proposals.length > 0
              ? "The logo, and the versions that the program makes of it where a size needs them."
              : "The logo on the ground that it is made for."
          }}
        </p>
        <NCheckbox v-if="bare" v-model:checked="keepGround"> Keep its background </NCheckbox>
      </section>
      <KitColours v-model="colours" />
      <div class="faces">
        <TypefaceShelf v-model="headline" label="Headlines" :sample="name" />
        <TypefaceShelf v-model="text" label="Text" :sample="name" />
      </div>
    </div>
    <aside aria-label="The kit at work">
      <template v-if="piece && draft && lead">
        <GraphicTile :wall="wall" :placement="lead" :width="320" label="A piece in the new brand" />
        <p class="quiet small">Preview: “{{ sample?.title }}” in this kit</p>
      </template>
    </aside>
  </main>
</template>

<style scoped>
main {
  display: grid;
  grid-template-columns: 1fr 320px;
  gap: 32px;
  align-items: start;
  padding: 24px;
}

.set-up {
  display: grid;
  gap: 24px;
  min-width: 0;
}

.start {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
  align-items: end;
}

.named {
  display: grid;
  gap: 4px;
}

.brand-name :deep(input) {
  height: 44px;
  font: 680 22px/1.2 var(--title);
}

.drop {
  position: relative;
  display: flex;
  gap: 16px;
  align-items: center;
  min-height: 72px;
  padding: 8px 16px;
  border: 1px dashed var(--line-strong);
  border-radius: 4px;
}

.drop.over {
  border-color: var(--leaf);
  background: var(--leaf-tint);
}

.drop .words {
  display: grid;
  flex: 1;
}

.drop img {
  max-width: 120px;
  max-height: 56px;
}

.logo {
  display: grid;
  gap: 8px;
}

.plates {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 12px;
}

.plates > * {
  height: 96px;
}

.faces {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}

aside {
  position: sticky;
  top: 24px;
}
</style>
