<script setup lang="ts">
import { NButton } from "naive-ui";
import { useEventListener, useLocalStorage } from "@vueuse/core";
import { computed, onMounted, ref, watch } from "vue";
import { brandSpreads } from "../../../core/brand";
import type { Piece } from "../../../core/piece";
import {
  inLook,
  Look,
  lookAt,
  moodOf,
  pairingsOf,
  whatChanged,
  type LookName,
  type Mood,
} from "../../../core/templates";
import { usePiece } from "../piece";
import { useTemplates } from "../../new-piece/templates";
import { useToasts } from "../../common/toasts";
import LookTile from "./LookTile.vue";
import { useOffers } from "../../new-piece/use-offers";

const props = defineProps<{
  /** What they stand on, and how they are made; all when not given. */
  ground: Mood | "";
  manner: LookName | "";
}>();
const emit = defineEmits<{ point: [fitted: Piece]; leave: [] }>();

/** The same message in other arrangements, spreads and pairings, twelve at a time, those that suit it best first. */
const open = usePiece();
const toasts = useToasts();
const list = useTemplates();
const failure = ref("");
const AT_ONCE = 12;
const StoredLooks = Look.array().catch([]);
const page = ref(0);
/** By piece; kept in the browser, since they are for trying. */
const allPinned = useLocalStorage<Record<string, Look[]>>("pinned-looks", {});

onMounted(async () => {
  try {
    await list.load();
  } catch (error) {
    failure.value = (error as Error).message;
  }
});

/** Those first that the message comes out best in. */
const { ordered } = useOffers({
  pieces: () => {
    const { piece, brand } = open;
    if (!piece || !brand) return [];
    return list.graphics.map((template, index) => {
      const look = lookAt(template, brand, index, 0);
      return { template, piece: { ...inLook(piece, template, look, brand), id: template.id } };
    });
  },
  brand: () => open.brand,
  wanted: () => true,
});
const suited = computed(() =>
  ordered.value
    .map(({ template }) => template)
    .filter(({ looks }) => props.manner === "" || looks.includes(props.manner)),
);
watch(
  () => [props.ground, props.manner],
  () => (page.value = 0),
);
const pages = computed(() => Math.max(1, Math.ceil(suited.value.length / AT_ONCE)));

const onThisPage = computed(() => {
  const { brand } = open;
  if (!brand) return [];
  // Every round through the arrangements takes other spreads and pairings.
  const round = Math.floor(page.value / pages.value);
  const from = (page.value % pages.value) * AT_ONCE;
  return suited.value
    .slice(from, from + AT_ONCE)
    .map((template, index) => onGround(lookAt(template, brand, from + index, round), index));
});
/** The look on a ground of the wanted kind: its own spread, or one of those that are, each in turn. */
function onGround(look: Look, index: number): Look {
  const { brand } = open;
  const { ground } = props;
  if (!brand || ground === "" || moodOf(brand, look.spread) === ground) return look;
  const fitting = brandSpreads(brand).filter((spread) => moodOf(brand, spread) === ground);
  const spread = fitting[index % Math.max(1, fitting.length)];
  return spread ? { ...look, spread } : look;
}
/** What the browser kept is read like anything that comes from outside. */
const pinned = computed(() => StoredLooks.parse(allPinned.value[open.piece?.id ?? ""]));
const same = (a: Look, b: Look): boolean => JSON.stringify(a) === JSON.stringify(b);
const isPinned = (look: Look): boolean => pinned.value.some((one) => same(one, look));

interface Shown {
  look: Look;
  name: string;
  piece: Piece;
  changed: string[];
}

function shownAs(look: Look): Shown[] {
  const { piece, brand } = open;
  const template = list.templates.find(({ id }) => id === look.template);
  if (!piece || !brand || !template) return [];
  const after = inLook(piece, template, look, brand);
  const pairing = pairingsOf(brand).find(({ id }) => id === look.pairing);
  const type = pairing && pairing.id !== "kit" ? [pairing.name] : [];
  return [
    {
      look,
      name: template.name,
      piece: after,
      changed: [...whatChanged(piece, after, brand), ...type],
    },
  ];
}
const groups = computed(() => [
  { title: "Pinned", looks: pinned.value.flatMap(shownAs) },
  { title: "", looks: onThisPage.value.filter((look) => !isPinned(look)).flatMap(shownAs) },
]);

function pin(look: Look): void {
  const id = open.piece?.id ?? "";
  const others = pinned.value.filter((one) => !same(one, look));
  const now = others.length < pinned.value.length ? others : [...others, look];
  const { [id]: _before, ...rest } = allPinned.value;
  allPinned.value = now.length > 0 ? { ...rest, [id]: now } : rest;
}

const more = (): number => page.value++;
useEventListener("keydown", (event: KeyboardEvent) => {
  const typing = (event.target as HTMLElement).matches?.("input, textarea, select");
  if (event.key === "n" && !typing && !event.ctrlKey && !event.metaKey) more();
});

/** Arrangement, colours and typefaces in one step of undo. `fitted` is the look as it was painted. */
function take(fitted: Piece, { name, changed }: Shown): void {
  const { piece } = open;
  if (!piece) return;
  const { lead, frame, arrangement, sizes, spread } = fitted;
  open.become({ ...piece, lead, frame, arrangement, sizes, spread }, "arrangement");
  toasts.tell(`${[name, ...changed].join("; ")}. Ctrl+Z takes it back.`);
}
</script>

<template>
  <section class="others" aria-label="Other arrangements">
    <header>
      <h2>Looks</h2>
      <span class="quiet">your message in other arrangements, colours and type</span>
      <NButton title="n" @click="more">Show 12 more</NButton>
    </header>
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <template v-for="{ title, looks } in groups" v-else-if="open.brand" :key="title">
      <h3 v-if="title && looks.length">{{ title }}</h3>
      <div v-if="looks.length" class="looks">
        <LookTile
          v-for="shown in looks"
          :key="JSON.stringify(shown.look)"
          :piece="shown.piece"
          :brand="open.brand"
          :name="shown.name"
          :changed="shown.changed"
          :pinned="isPinned(shown.look)"
          @pick="take($event, shown)"
          @pin="pin(shown.look)"
          @point="emit('point', $event)"
          @leave="emit('leave')"
        />
      </div>
    </template>
  </section>
</template>

<style scoped>
header {
  display: flex;
  gap: 12px;
  align-items: center;
  padding-bottom: 16px;
}

header .n-button {
  margin-left: auto;
}

h3 {
  padding-bottom: 10px;
}

.looks {
  display: flex;
  flex-wrap: wrap;
  gap: 24px 20px;
  align-items: end;
  padding-bottom: 28px;
}
</style>
