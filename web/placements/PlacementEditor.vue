<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import { PlacementFacts } from "../../core/api";
import type { Placement } from "../../core/placements";
import { api } from "../api/client";
import { useLibrary } from "../common/library";
import { counted } from "../common/counted";
import PlacementDrawing from "./PlacementDrawing.vue";
import { errorsIn } from "../ui/field-errors";
import PlacementEffect from "./PlacementEffect.vue";
import PlacementForm from "./PlacementForm.vue";

/** One placement, or a new one: its facts, and what a change of them does to the pieces that go there. */
const props = defineProps<{
  placement: Placement | undefined;
  fresh: PlacementFacts;
  channels: readonly string[];
  /** Its facts as they came with the program, where the team has changed them. */
  shipped: Placement | undefined;
  added: boolean;
}>();
const emit = defineEmits<{ saved: [id: string | undefined]; close: [] }>();

const library = useLibrary();
const before = PlacementFacts.parse(props.placement ?? props.fresh);
const draft = ref<PlacementFacts>(PlacementFacts.parse(props.placement ?? props.fresh));
const failure = ref("");

/** Marked from the first attempt to save on, until it is right. */
const tried = ref(false);
const errors = computed(() => (tried.value ? errorsIn(read.value) : {}));
const read = computed(() => PlacementFacts.safeParse(emptied(draft.value)));
/** What is drawn: the last facts that made sense. */
const drawn = computed<Placement>((last) =>
  read.value.success
    ? { ...read.value.data, id: props.placement?.id ?? "draft" }
    : (last ?? { ...before, id: "draft" }),
);
const changed = computed(
  () => !props.placement || JSON.stringify(read.value.data) !== JSON.stringify(before),
);

const users = computed(() => {
  const id = props.placement?.id;
  return library.crates.flatMap((crate) =>
    crate.pieces.flatMap((piece) => {
      const brand = library.brandById.get(piece.brand);
      const goes = piece.sizes.some((size) => size.placement === id && !size.own);
      return goes && brand ? [{ piece, brand, crate: crate.name }] : [];
    }),
  );
});

const WIDE = 150;
const width = computed(() =>
  props.placement
    ? Math.round(Math.min(WIDE, (190 * props.placement.width) / props.placement.height))
    : WIDE,
);

/** A cleared field of a form is no text. */
function emptied({ note, checked, ...facts }: PlacementFacts): PlacementFacts {
  return { ...facts, ...(note ? { note } : {}), ...(checked ? { checked } : {}) };
}

async function act(work: () => Promise<string | undefined>): Promise<void> {
  failure.value = "";
  try {
    emit("saved", await work());
  } catch (error) {
    failure.value = (error as Error).message;
  }
}

const put = (facts: PlacementFacts): Promise<void> =>
  act(async () => {
    const { placement } = props;
    const done = placement
      ? await api.changePlacement(placement.id, facts)
      : await api.addPlacement(facts);
    return done.id;
  });

function save(): void {
  tried.value = true;
  if (read.value.success) void put(read.value.data);
  else failure.value = "Nothing was saved; correct what is marked.";
}

const retire = (retired: boolean) => void put({ ...before, retired });
const remove = () =>
  act(async () => {
    await api.removePlacement(props.placement!.id);
    return props.added ? undefined : props.placement!.id;
  });
</script>

<template>
  <aside :aria-label="placement ? placement.name : 'New placement'">
    <header>
      <h2>{{ placement ? placement.name : "New placement" }}</h2>
      <NButton @click="emit('close')">Close</NButton>
    </header>
    <div class="drawing">
      <PlacementDrawing :placement="drawn" :room="{ width: 340, height: 220 }" />
    </div>
    <form novalidate @submit.prevent="save">
      <PlacementForm v-model="draft" :channels="channels" :errors="errors" />
      <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
      <div class="actions">
        <NButton type="primary" attr-type="submit" :disabled="!changed">
          {{ placement ? "Save" : "Add it" }}
        </NButton>
        <template v-if="placement">
          <NButton :disabled="changed" @click="retire(!placement.retired)">
            {{ placement.retired ? "Offer it again" : "Retire" }}
          </NButton>
          <NButton v-if="shipped" @click="remove"> Back to the shipped facts </NButton>
          <NButton v-else-if="added" @click="remove">Delete</NButton>
        </template>
      </div>
    </form>
    <section v-if="placement" class="users" aria-label="Pieces that go here">
      <h3>{{ counted(users.length, "piece") }} {{ users.length === 1 ? "goes" : "go" }} here</h3>
      <p v-if="users.length && changed" class="quiet small">
        As they are, and as they will be once this is saved.
      </p>
      <template v-for="{ piece, brand, crate } in users" :key="piece.id">
        <PlacementEffect
          v-if="changed"
          :piece="piece"
          :brand="brand"
          :before="placement"
          :after="drawn"
          :width="width"
        />
        <RouterLink
          v-else
          class="small"
          :to="{ name: 'piece', params: { id: piece.id, step: 'sizes' } }"
          >{{ piece.title }} <span class="quiet">in {{ crate }}</span></RouterLink
        >
      </template>
    </section>
  </aside>
</template>

<style scoped>
aside {
  display: grid;
  flex: none;
  gap: 16px;
  align-content: start;
  width: 390px;
  padding: 16px 20px 48px;
  overflow: auto;
  border-left: 1px solid var(--line);
  background: var(--card);
}

header {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
}

.drawing {
  display: grid;
  place-items: center;
  padding: 12px 0;
}

form,
.users {
  display: grid;
  gap: 14px;
}

.users {
  padding-top: 14px;
  border-top: 1px solid var(--line);
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
