<script setup lang="ts">
import { Badge, Image, QrCode, Shapes, Smile, Type } from "@lucide/vue";
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import {
  ADDED_SHAPES,
  READY_MADE,
  withBadge,
  withCode,
  withIcon,
  withReadyMade,
  withShape,
  withWords,
  type AddedShape,
  type ReadyMade,
} from "../../../../core/arranging";
import { box } from "../../../../core/geometry";
import { isOpen, outlineOf, shapeDefaults } from "../../../../core/shape";
import { shapeName } from "../../../../core/wording/nodes";
import { useToasts } from "../../../common/toasts";
import PopUp from "../../../ui/PopUp.vue";
import TextField from "../../../ui/TextField.vue";
import { usePiece } from "../../piece";
import { useHand } from "../hand";
import AddPictures from "./AddPictures.vue";
import IconChoice from "./IconChoice.vue";

/** What can be added to the composition; all of it comes in the brand’s manner and into a free place. */
const hand = useHand();
const open = usePiece();
const toasts = useToasts();

const opened = ref<"words" | "shape" | "code">();
const iconsShown = ref(false);
const picturesShown = ref(false);

const WORDS: Record<ReadyMade, string> = {
  "headline-and-line": "Headline and line",
  "two-colours": "Headline in two colours",
  marked: "Headline with a marked word",
  outlined: "Outlined headline",
  "figure-and-line": "Large figure and line",
  quotation: "Quotation and who says it",
  "along-a-circle": "Line along a circle",
  label: "Label",
};

const SIDE = 40;
const drawings = (Object.keys(ADDED_SHAPES) as AddedShape[]).map((kind) => {
  const ratio = Math.min(2.2, ADDED_SHAPES[kind]);
  const [width, height] = ratio > 1 ? [SIDE, SIDE / ratio] : [SIDE * ratio, SIDE];
  const usual = shapeDefaults[kind as keyof typeof shapeDefaults] ?? { points: 6, inner: 1 };
  const at = box((SIDE - width) / 2, (SIDE - height) / 2, width, height);
  const d = outlineOf({ kind, corner: 0, ...usual }, at, 4 * SIDE);
  return { kind, name: shapeName(kind), d, isLine: isOpen(kind) };
});

const site = computed(() => open.brand?.voice.site ?? "");
const address = ref("");
function openCode(): void {
  address.value = site.value ? `https://${site.value.replace(/^https?:\/\//, "")}` : "";
  opened.value = "code";
}

function words(kind: ReadyMade | "plain"): void {
  opened.value = undefined;
  hand.add((piece, lead) =>
    kind === "plain" ? withWords(piece, lead, "Your words") : withReadyMade(piece, lead, kind),
  );
}
function shape(kind: AddedShape): void {
  opened.value = undefined;
  hand.add((piece, lead) => withShape(piece, lead, kind));
}
function icon(name: string): void {
  hand.add((piece, lead) => withIcon(piece, lead, name));
}
function code(): void {
  const text = address.value.trim();
  opened.value = undefined;
  if (text) hand.add((piece, lead) => withCode(piece, lead, text));
}
function badge(): void {
  hand.add((piece, lead) => {
    const made = withBadge(piece, lead);
    if (!made) toasts.tell("There is a badge already; change its words or its shape.");
    return made;
  });
}
</script>

<template>
  <div class="bar" role="group" aria-label="Add">
    <PopUp
      placement="left-start"
      :show="opened === 'words'"
      @update:show="opened = $event ? 'words' : undefined"
    >
      <template #trigger>
        <NButton size="small"><Type :size="15" aria-hidden="true" /> Words</NButton>
      </template>
      <div class="list">
        <NButton quaternary @click="words('plain')">Plain words</NButton>
        <NButton
          v-for="kind in Object.keys(READY_MADE) as ReadyMade[]"
          :key="kind"
          quaternary
          @click="words(kind)"
        >
          {{ WORDS[kind] }}
        </NButton>
      </div>
    </PopUp>
    <PopUp
      placement="left-start"
      :show="opened === 'shape'"
      @update:show="opened = $event ? 'shape' : undefined"
    >
      <template #trigger>
        <NButton size="small"><Shapes :size="15" aria-hidden="true" /> Shape</NButton>
      </template>
      <div class="shapes">
        <NButton
          v-for="{ kind, name, d, isLine } in drawings"
          :key="kind"
          quaternary
          class="shape"
          :aria-label="`Add ${name}`"
          :title="name"
          @click="shape(kind)"
        >
          <svg :viewBox="`-1 -1 ${SIDE + 2} ${SIDE + 2}`" width="36" height="36" aria-hidden="true">
            <path :d="d" :class="isLine ? 'lined' : 'filled'" />
          </svg>
        </NButton>
      </div>
    </PopUp>
    <NButton size="small" @click="iconsShown = true">
      <Smile :size="15" aria-hidden="true" /> Icon
    </NButton>
    <NButton size="small" @click="picturesShown = true">
      <Image :size="15" aria-hidden="true" /> Picture
    </NButton>
    <PopUp
      placement="left-start"
      :show="opened === 'code'"
      @update:show="$event ? openCode() : (opened = undefined)"
    >
      <template #trigger>
        <NButton size="small"><QrCode :size="15" aria-hidden="true" /> QR code</NButton>
      </template>
      <form class="code" @submit.prevent="code">
        <TextField v-model="address" label="Where the code leads" placeholder="https://…" />
        <NButton type="primary" attr-type="submit" :disabled="!address.trim()">Add</NButton>
      </form>
    </PopUp>
    <NButton size="small" @click="badge"><Badge :size="15" aria-hidden="true" /> Badge</NButton>
    <IconChoice v-model:shown="iconsShown" @pick="icon" />
    <AddPictures v-model:shown="picturesShown" />
  </div>
</template>

<style scoped>
.bar {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 6px;
}

.bar > .n-button {
  padding: 0 1px;
}

.bar > .n-button :deep(.n-button__content) {
  gap: 3px;
  font-size: 12.5px;
  letter-spacing: -0.01em;
}

.bar svg {
  flex: none;
}

.list {
  display: grid;
}

.list .n-button {
  justify-content: start;
}

.shapes {
  display: grid;
  grid-template-columns: repeat(5, 52px);
  gap: 2px;
}

.shape {
  width: 52px;
  height: 52px;
  padding: 0;
}

.filled {
  fill: var(--leaf);
}

.lined {
  fill: none;
  stroke: var(--leaf);
  stroke-width: 2;
}

.code {
  display: grid;
  gap: 8px;
  width: 260px;
}
</style>
