<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref, shallowRef, watch } from "vue";
import type { SetState } from "../../core/api";
import type { LayoutReport } from "../../core/preflight";
import { api } from "../api/client";
import { counted } from "../common/counted";
import { useToasts } from "../common/toasts";
import { usePiece } from "./piece";

/** In the ledger of a piece that is laid out as a set: with which others, and whether they still say the same. */
const props = defineProps<{ report: LayoutReport | undefined }>();
const open = usePiece();
const toasts = useToasts();
const set = shallowRef<SetState>();
const busy = ref(false);

// What is asked about is what is stored.
watch(
  () => [open.piece?.id, open.piece?.siblings, open.saving] as const,
  async ([id, siblings, saving]) => {
    if (!id || !siblings) set.value = undefined;
    else if (saving === "saved") set.value = await api.setOf(id).catch(() => undefined);
  },
  { immediate: true },
);

const MOST_NAMED = 3;
const others = computed(() => set.value?.pieces.filter(({ id }) => id !== open.piece?.id) ?? []);
const named = computed(() => others.value.slice(0, MOST_NAMED));
const more = computed(() => others.value.length - named.value.length);

async function layAgain(): Promise<void> {
  const [piece, crate] = [open.piece, open.crate];
  if (!piece || !crate || !set.value) return;
  busy.value = true;
  try {
    await open.save();
    const { pieces } = set.value;
    await api.laySet(crate.id, { like: piece.id, pieces: pieces.map(({ id }) => id) });
    toasts.tell(`${counted(pieces.length, "piece")} laid out as a set, like this one.`);
  } catch (error) {
    toasts.fail(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <section v-if="open.piece?.siblings" class="set" aria-label="Set">
    <h3>Laid out as a set</h3>
    <p v-if="others.length > 0" class="small">
      With
      <template v-for="({ id, title }, index) in named" :key="id"
        ><template v-if="index > 0">, </template
        ><RouterLink :to="{ name: 'piece', params: { id, step: 'sizes' } }">{{
          title
        }}</RouterLink></template
      ><template v-if="more > 0"> and {{ counted(more, "other") }}</template>.
    </p>
    <p v-else-if="set" class="quiet small">The others are gone from this crate.</p>
    <p v-if="props.report?.set === 'apart'" class="small">
      This size stands by itself: its words have no room where the others have theirs.
    </p>
    <p v-if="set && !set.upToDate && others.length > 0" class="small">
      What they say has changed since they were laid out.
    </p>
    <NButton v-if="others.length > 0" :disabled="busy" @click="layAgain">
      Lay the set out like this one
    </NButton>
    <NButton :disabled="busy" @click="open.set(['siblings'], null)">Lay it out by itself</NButton>
  </section>
</template>

<style scoped>
.set {
  display: grid;
  gap: 8px;
  padding: 14px 0;
  border-top: 1px solid var(--line);
}
</style>
