<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import { useRoute } from "vue-router";
import type { PlacementFacts } from "../../core/api";
import { isShipped, type Placement } from "../../core/placements";
import { api } from "../api/client";
import { counted } from "../common/counted";
import ImportJson from "../common/ImportJson.vue";
import PageBar from "../common/PageBar.vue";
import PlacementCard from "./PlacementCard.vue";
import PlacementEditor from "./PlacementEditor.vue";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";
import { byChannel, channelName, isCalled } from "../wall/packing";
import TextField from "../ui/TextField.vue";
import LibraryState from "../common/LibraryState.vue";

/** The team's placement catalogue: looked at, corrected, added to, and taken elsewhere as a file. */
const library = useLibrary();
const toasts = useToasts();
const route = useRoute();
const find = ref(typeof route.query.find === "string" ? route.query.find : "");
/** The placement that is open: an id, or "new" for one that is being added. */
const open = ref<string>();

const groups = computed(() =>
  byChannel(library.placements.filter((placement) => isCalled(placement, find.value))),
);
const channels = computed(() => byChannel(library.placements).map(({ channel }) => channel));
const shipped = computed(
  () => new Map(library.catalogue?.shipped.map((placement) => [placement.id, placement])),
);
const isAdded = ({ id }: Placement): boolean => !isShipped(id);

function markOf(placement: Placement): string {
  if (placement.retired) return "Retired";
  if (isAdded(placement)) return "Yours";
  return shipped.value.has(placement.id) ? "Corrected" : "";
}

const current = computed(() => library.placements.find(({ id }) => id === open.value));

/** A new one starts as a square post, so that only what differs need be said. */
const FRESH: PlacementFacts = {
  name: "New placement",
  channel: "own-channel",
  width: 1080,
  height: 1080,
  viewWidth: 390,
  use: "post",
  margin: 80,
  covered: [],
  crops: [],
  formats: ["png", "jpeg"],
  source: "set by hand",
};

async function saved(id: string | undefined): Promise<void> {
  await library.load();
  open.value = id;
}

async function take(catalogue: unknown): Promise<void> {
  try {
    const { added, changed, same } = await api.importPlacements(catalogue);
    await library.load();
    toasts.tell(
      `${counted(added.length, "placement")} added, ${changed.length} corrected, ${same.length} as they were.`,
    );
  } catch (error) {
    toasts.fail(error);
  }
}
</script>

<template>
  <PageBar title="Placements">
    <NButton tag="a" href="/api/placements/export" download>Export as JSON</NButton>
    <ImportJson label="Import" what="A catalogue to import" @read="take" @failed="toasts.fail" />
    <NButton type="primary" @click="open = 'new'">Add a placement</NButton>
  </PageBar>
  <div class="columns">
    <main>
      <LibraryState what="the placements">
        <div class="head">
          <TextField
            v-model="find"
            class="field"
            label="Find a placement"
            placeholder="Find by name, channel or size"
            clearable
          />
          <p class="quiet small">
            Shaded: outside the margin. Darker: covered by the channel. Dashed: crops.
          </p>
        </div>
        <p v-if="groups.length === 0" class="quiet">No placement is called “{{ find }}”.</p>
        <div class="groups">
          <section v-for="group in groups" :key="group.channel">
            <h2>{{ channelName(group.channel) }}</h2>
            <div class="cards">
              <PlacementCard
                v-for="placement in group.placements"
                :key="placement.id"
                :placement="placement"
                :mark="markOf(placement)"
                :checked="placement.checked ?? library.catalogue?.checked ?? ''"
                :current="placement.id === open"
                @pick="open = placement.id"
              />
            </div>
          </section>
        </div>
      </LibraryState>
    </main>
    <PlacementEditor
      v-if="open === 'new' || current"
      :key="`${open} ${JSON.stringify(current)}`"
      :placement="current"
      :fresh="FRESH"
      :channels="channels"
      :shipped="current && shipped.get(current.id)"
      :added="current ? isAdded(current) : true"
      @saved="saved"
      @close="open = undefined"
    />
  </div>
</template>

<style scoped>
.columns {
  display: flex;
  flex: 1;
  min-height: 0;
}

main {
  flex: 1;
  min-width: 0;
  padding: 16px 22px 48px;
  overflow: auto;
}

.head {
  display: flex;
  gap: 20px;
  align-items: center;
}

.head .field {
  max-width: 320px;
}

.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 24px 36px;
  padding-top: 22px;
}

h2 {
  padding-bottom: 10px;
  font-size: 16px;
}

.cards {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
</style>
