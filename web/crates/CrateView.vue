<script setup lang="ts">
import { useTimeoutPoll } from "@vueuse/core";
import { NEmpty, NProgress } from "naive-ui";
import { computed, shallowRef } from "vue";
import { useRouter } from "vue-router";
import { isUnderWay, type BatchAnswer, type CrateWork } from "../../core/api";
import { api } from "../api/client";
import { counted } from "../common/counted";
import DeliveryList from "../common/DeliveryList.vue";
import { JOB_STATES } from "../common/job-states";
import { useLibrary } from "../common/library";
import LibraryState from "../common/LibraryState.vue";
import PageBar from "../common/PageBar.vue";
import { useToasts } from "../common/toasts";
import { when } from "../common/when";
import CrateShelf from "./CrateShelf.vue";
import SelectionBar from "./SelectionBar.vue";

/** One crate with everything in it: its pieces, and what was made of them. */
const props = defineProps<{ id: string }>();
const library = useLibrary();
const toasts = useToasts();
const router = useRouter();
const crate = computed(() => library.crates.find(({ id }) => id === props.id));
const work = shallowRef<CrateWork>();

/** What is being made is asked for again, in milliseconds. */
const AGAIN = 1000;
const { pause, resume } = useTimeoutPoll(refresh, AGAIN, { immediateCallback: true });

async function refresh(): Promise<void> {
  try {
    work.value = await api.crateWork(props.id);
    const all = [...work.value.batches, ...work.value.deliveries];
    if (!all.some(({ state }) => isUnderWay(state))) pause();
  } catch (error) {
    pause();
    toasts.fail(error);
  }
}

const titleOf = (piece: string): string =>
  [...(crate.value?.pieces ?? []), ...(crate.value?.archived ?? [])].find(({ id }) => id === piece)
    ?.title ?? "";

function sayOf({ state, variations, made, files, failed }: BatchAnswer): string {
  const said = [counted(variations, "variation"), `${made} of ${counted(files, "file")} made`];
  return [...said, ...(failed ? [`${failed} failed`] : []), JOB_STATES[state]].join(", ");
}

async function start(_crate: string, from: string): Promise<void> {
  try {
    const { piece } = await api.beginPiece(props.id, { from });
    await router.push({ name: "piece", params: { id: piece.id, step: "message" } });
  } catch (error) {
    toasts.fail(error);
  }
}
</script>

<template>
  <PageBar title="Crate">
    <template #beside><RouterLink :to="{ name: 'crates' }">All crates</RouterLink></template>
  </PageBar>
  <main>
    <LibraryState what="the crate">
      <NEmpty v-if="!crate" description="There is no such crate; it may be in the bin." />
      <template v-else>
        <CrateShelf
          alone
          :crate="crate"
          :order="crate.pieces.map((piece) => piece.id)"
          @start="start"
        />
        <div v-if="work" class="columns">
          <section aria-label="Batches">
            <h2>Batches</h2>
            <p v-if="work.batches.length === 0" class="quiet">None yet.</p>
            <ul v-else class="dated">
              <li v-for="batch in work.batches" :key="batch.id">
                <span class="quiet small number">{{ when(batch.started) }}</span>
                <span>
                  <RouterLink :to="{ name: 'piece', params: { id: batch.piece, step: 'batch' } }">
                    {{ titleOf(batch.piece) }}
                  </RouterLink>
                  <span class="quiet small said">{{ sayOf(batch) }}</span>
                </span>
                <NProgress
                  v-if="isUnderWay(batch.state)"
                  class="progress"
                  :percentage="Math.round((100 * batch.made) / Math.max(1, batch.files))"
                />
              </li>
            </ul>
          </section>
          <section aria-label="Zips">
            <DeliveryList
              v-if="work.deliveries.length"
              title="Deliveries"
              :deliveries="work.deliveries"
              @changed="resume"
            />
            <template v-else>
              <h2>Deliveries</h2>
              <p class="quiet">None yet. Select pieces to deliver several at once.</p>
            </template>
          </section>
        </div>
      </template>
    </LibraryState>
    <SelectionBar />
  </main>
</template>

<style scoped>
main {
  padding: 0 24px 64px;
}

.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 40px;
}

.said {
  display: block;
}

.progress {
  width: 160px;
}

@media (width < 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
