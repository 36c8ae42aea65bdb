<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, onMounted, ref, shallowRef, toRaw, watch } from "vue";
import type { BrandVersion } from "../../core/api";
import { typefacesOf, type Brand } from "../../core/brand";
import { onColour, tintsOf } from "../../core/colour";
import { compareBrands } from "../../core/kit";
import { api } from "../api/client";
import KitEditor from "./KitEditor.vue";
import KitPairs from "./KitPairs.vue";
import KitUpkeep from "./KitUpkeep.vue";
import KitVersions from "./KitVersions.vue";
import LogoPlate from "./LogoPlate.vue";
import OutdatedList from "../common/OutdatedList.vue";
import PageBar from "../common/PageBar.vue";
import { sampleStyle, useTypefaces } from "./use-typeface";
import { useLibrary } from "../common/library";
import TextField from "../ui/TextField.vue";

/** A brand kit to look at: colours with their roles, typefaces, logos, voice. */
const props = defineProps<{ id: string }>();

const library = useLibrary();
const brand = computed(() => library.brandById.get(props.id));
onMounted(() => {
  if (library.state !== "ready") void library.load();
});

const versions = shallowRef<BrandVersion[]>([]);
const draft = ref<Brand>();
const failure = ref("");
const saving = ref(false);

watch(
  brand,
  async (kit) => {
    if (kit) versions.value = (await api.brandVersions(kit.id)).versions;
  },
  { immediate: true },
);

function begin(): void {
  draft.value = structuredClone(toRaw(brand.value));
  failure.value = "";
}

/** What will change, in words; nothing is saved that is the same. */
const changes = computed(() =>
  brand.value && draft.value ? compareBrands(brand.value, draft.value) : [],
);

async function save(wanted: Brand): Promise<void> {
  saving.value = true;
  failure.value = "";
  try {
    await api.changeBrand(wanted, versions.value[0]?.number ?? 0, key.value || undefined);
    draft.value = undefined;
    await library.load();
  } catch (error) {
    failure.value = (error as Error).message;
  } finally {
    saving.value = false;
  }
}

const shortName = computed(() => brand.value?.name.split(" ")[0] ?? "");

useTypefaces(() =>
  brand.value ? typefacesOf(brand.value).map(({ faces }) => faces[0]!.file) : [],
);

const locked = computed(() => library.lockedBrands.has(props.id));
const key = ref("");
const faces = computed(() => {
  const { headline, text, accent } = brand.value!.typefaces;
  return [
    { name: "Headlines", face: headline, sample: shortName.value },
    ...(accent ? [{ name: "Accents", face: accent, sample: shortName.value }] : []),
    { name: "Text", face: text, sample: `${brand.value!.name}, 0123456789` },
  ];
});
const pieces = computed(() =>
  library.crates.flatMap((crate) => crate.pieces).filter((piece) => piece.brand === props.id),
);
</script>

<template>
  <PageBar :title="brand?.name ?? 'Brand kit'">
    <RouterLink v-if="brand" :to="{ name: 'specimen', params: { id } }">Specimen</RouterLink>
    <RouterLink v-if="brand" :to="{ name: 'sheet', params: { id } }">Brand sheet</RouterLink>
    <template v-if="draft">
      <TextField
        v-if="locked"
        v-model="key"
        class="key"
        kind="password"
        placeholder="Key of the kit"
        label="Key of the kit"
      />
      <NButton @click="draft = undefined">Discard changes</NButton>
      <NButton type="primary" :disabled="saving || changes.length === 0" @click="save(draft)">
        {{ saving ? "Saving …" : "Save the kit" }}
      </NButton>
    </template>
    <NButton v-else-if="brand" @click="begin">Change the kit</NButton>
  </PageBar>
  <main>
    <p v-if="library.state === 'loading'" class="quiet">Opening the brand kit …</p>
    <p v-else-if="library.state === 'failed'">{{ library.failure }}</p>
    <p v-else-if="!brand">
      There is no such brand kit. <RouterLink to="/">Go to the crates</RouterLink>
    </p>
    <KitEditor v-else-if="draft" v-model="draft" :changes="changes" :failure="failure" />
    <template v-else>
      <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
      <section aria-label="Colours" class="colours">
        <div
          v-for="colour in brand.colours"
          :key="colour.id"
          :style="{ background: colour.hex, color: onColour(colour.hex) }"
        >
          <b>{{ colour.name }}</b>
          <span class="number">{{ colour.hex }}</span>
          <span>{{ colour.role === "free" ? "" : colour.role }}</span>
          <span class="tints" aria-hidden="true">
            <i
              v-for="tint in tintsOf(colour.hex)"
              :key="tint"
              :style="{ background: tint }"
              :title="tint.toUpperCase()"
            ></i>
          </span>
        </div>
      </section>
      <div class="columns">
        <section aria-label="Logos">
          <h2>Logos</h2>
          <div class="logos">
            <LogoPlate
              v-for="logo in brand.logos"
              :key="logo.file"
              :logo="logo"
              :colours="brand.colours"
            />
          </div>
        </section>
        <section aria-label="Typefaces">
          <h2>Typefaces</h2>
          <div class="faces">
            <template v-for="{ name, face, sample } in faces" :key="name">
              <p class="quiet small">{{ name }}: {{ face.family }}</p>
              <p
                :class="name === 'Text' ? 'text-sample' : 'headline-sample'"
                :style="sampleStyle(face)"
              >
                {{ sample }}
              </p>
            </template>
          </div>
          <h2>Voice</h2>
          <dl>
            <dt>Handle</dt>
            <dd>{{ brand.voice.handle || "none" }}</dd>
            <dt>Site</dt>
            <dd>{{ brand.voice.site || "none" }}</dd>
            <dt>Calls to action</dt>
            <dd>{{ brand.voice.callsToAction.join(", ") || "none" }}</dd>
            <dt>Hashtags</dt>
            <dd>{{ brand.voice.hashtags.join(" ") || "none" }}</dd>
            <dt>Words to avoid</dt>
            <dd>{{ brand.voice.avoid.join(", ") || "none" }}</dd>
            <dt>Tone</dt>
            <dd>{{ brand.voice.tone || "not said" }}</dd>
          </dl>
          <h2>Pieces</h2>
          <ul>
            <li v-for="piece in pieces" :key="piece.id">
              <RouterLink :to="{ name: 'piece', params: { id: piece.id, step: 'sizes' } }">{{
                piece.title
              }}</RouterLink>
            </li>
          </ul>
        </section>
      </div>
      <KitPairs :colours="brand.colours" />
      <section aria-label="Downloads" class="along">
        <h2>Downloads</h2>
        <NButton tag="a" :href="`/api/brands/${id}/kit`" download>Kit with its files</NButton>
        <NButton tag="a" :href="`/api/brands/${id}/colours/tokens`" download>Design tokens</NButton>
        <NButton tag="a" :href="`/api/brands/${id}/colours/css`" download>CSS</NButton>
        <NButton tag="a" :href="`/api/brands/${id}/colours/palette`" download
          >Plain palette</NButton
        >
      </section>
      <OutdatedList :brand="brand" />
      <KitUpkeep :brand="brand" :pieces="pieces.length" />
      <KitVersions :versions="versions" @restore="save($event.document)" />
    </template>
  </main>
</template>

<style scoped>
main {
  display: grid;
  gap: 32px;
  padding: 24px;
}

.along {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.along h2 {
  flex-basis: 100%;
  margin-bottom: 0;
}

.colours {
  display: flex;
  height: 220px;
}

.colours div {
  display: grid;
  flex: 1;
  align-content: end;
  padding: 16px;
}

.tints {
  display: flex;
  height: 14px;
  margin: 10px -16px -16px;
}

.tints i {
  flex: 1;
}

.key {
  width: 160px;
}

.colours div:first-child {
  flex: 2;
}

.columns {
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 40px;
}

section > h2 {
  margin-bottom: 12px;
}

.faces {
  display: grid;
  gap: 4px;
  margin-bottom: 28px;
}

.headline-sample {
  padding-bottom: 12px;
  font-size: 56px;
  line-height: 1.05;
}

.text-sample {
  font-size: 18px;
}

.logos {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}

dl {
  display: grid;
  grid-template-columns: 120px 1fr;
  gap: 6px 16px;
  margin: 0 0 24px;
}

dt {
  color: var(--quiet);
}

dd {
  margin: 0;
}

ul {
  padding-left: 18px;
  margin: 0;
}
</style>
