<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref, shallowRef, toRaw, watch } from "vue";
import type { BrandVersion } from "../../core/api";
import type { Brand } from "../../core/brand";
import { compareBrands } from "../../core/kit";
import { api } from "../api/client";
import KitEditor from "./KitEditor.vue";
import KitOverview from "./KitOverview.vue";
import KitPairs from "./KitPairs.vue";
import KitUpkeep from "./KitUpkeep.vue";
import KitVersions from "./KitVersions.vue";
import OutdatedList from "../common/OutdatedList.vue";
import PageBar from "../common/PageBar.vue";
import { useLibrary } from "../common/library";
import { useFirstPiece } from "../crates/first-steps";
import TextField from "../ui/TextField.vue";
import LibraryState from "../common/LibraryState.vue";

/** A brand kit to look at: colours with their roles, typefaces, logos, voice. */
const props = defineProps<{ id: string }>();

const library = useLibrary();
const brand = computed(() => library.brandById.get(props.id));
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

const startPiece = useFirstPiece();
const locked = computed(() => library.lockedBrands.has(props.id));
const key = ref("");
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
    <LibraryState what="the brand kit">
      <p v-if="!brand">
        There is no such brand kit. <RouterLink to="/">Go to the crates</RouterLink>
      </p>
      <KitEditor v-else-if="draft" v-model="draft" :changes="changes" :failure="failure" />
      <template v-else>
        <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
        <section v-if="library.state === 'ready' && pieces.length === 0" class="next">
          <p>This kit is ready to use. What should its first graphic say?</p>
          <NButton type="primary" @click="startPiece(brand)">Start the first piece</NButton>
        </section>
        <KitOverview :brand="brand" :pieces="pieces" />
        <KitPairs :colours="brand.colours" />
        <section aria-label="Downloads" class="along">
          <h2>Downloads</h2>
          <NButton tag="a" :href="`/api/brands/${id}/kit`" download>Kit with its files</NButton>
          <NButton tag="a" :href="`/api/brands/${id}/colours/tokens`" download
            >Design tokens</NButton
          >
          <NButton tag="a" :href="`/api/brands/${id}/colours/css`" download>CSS</NButton>
          <NButton tag="a" :href="`/api/brands/${id}/colours/palette`" download
            >Plain palette</NButton
          >
        </section>
        <OutdatedList :brand="brand" />
        <KitUpkeep :brand="brand" :pieces="pieces.length" />
        <KitVersions :versions="versions" @restore="save($event.document)" />
      </template>
    </LibraryState>
  </main>
</template>

<style scoped>
main {
  display: grid;
  gap: 32px;
  padding: 24px;
}

.next {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
  justify-content: space-between;
  padding: 16px 20px;
  background: var(--leaf-tint);
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

.key {
  width: 160px;
}

section > h2 {
  margin-bottom: 12px;
}
</style>
