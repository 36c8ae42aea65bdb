<script setup lang="ts">
import { X } from "@lucide/vue";
import { NButton } from "naive-ui";
import { computed, nextTick, ref, useId, useTemplateRef } from "vue";
import { slotHints, slotName as nameOf } from "../../../core/message";
import { LIMITS } from "../../../core/piece";
import { toggleMark, type EmphasisKind } from "../../../core/text";
import { usePiece } from "../piece";
import { useToasts } from "../../common/toasts";
import { useSharedWall } from "../../wall/wall-key";
import { counted } from "../../common/counted";
import { pasteMarked } from "./pasted";
import WordingList from "./WordingList.vue";

/** One slot of words, typed straight into the page. */
const props = defineProps<{ slotName: string; text: string; alternatives?: readonly string[] }>();

const open = usePiece();
const toasts = useToasts();
const id = useId();
const isHeadline = computed(() => props.slotName === "headline");
const near = computed(() => props.text.length > 0.9 * LIMITS.text);

/** What belongs here and how long it may be, for an empty slot. */
const hint = computed(() => {
  const known = slotHints[props.slotName];
  return known
    ? `${known.hint}; about ${known.usual} characters`
    : `No ${nameOf(props.slotName).toLowerCase()}`;
});

const wall = useSharedWall();
/** The sizes that have no room for these words, in the order of the wall. */
const without = computed(() => {
  if (!props.text.trim()) return [];
  return open.placements.filter(({ id }) => {
    const report = wall.reports.value.get(id);
    return report?.slots.includes(props.slotName) && !report.shown.includes(props.slotName);
  });
});

function type(event: Event): void {
  const area = event.target as HTMLTextAreaElement;
  if (area.value.length > LIMITS.text) {
    toasts.fail(
      new Error(
        `${nameOf(props.slotName)} would have ${area.value.length} characters; a slot holds at most ${LIMITS.text}. What was there before is kept; shorten the text.`,
      ),
    );
    area.value = props.text;
    return;
  }
  open.set(["message", props.slotName, "text"], area.value);
}

/** The slot goes, and its room on every size with it. */
function takeOut(): void {
  open.set(["message", props.slotName], null);
}

/** What a stretch of the words can be made to do, and the key that does it. */
const emphases: { kind: EmphasisKind; name: string; key?: string }[] = [
  { kind: "strong", name: "strong", key: "b" },
  { kind: "underline", name: "underline", key: "u" },
  { kind: "colour", name: "accent" },
  { kind: "marker", name: "marker" },
];
const area = useTemplateRef("area");
const selected = ref(false);

function watchSelection(): void {
  const { selectionStart: from = 0, selectionEnd: to = 0 } = area.value ?? {};
  selected.value = to > from;
}

async function emphasise(kind: EmphasisKind): Promise<void> {
  const field = area.value!;
  const before = { text: field.value, from: field.selectionStart, to: field.selectionEnd };
  const after = toggleMark(before, kind);
  if (after.text === before.text || after.text.length > LIMITS.text) return;
  open.set(["message", props.slotName, "text"], after.text);
  await nextTick();
  field.focus();
  field.setSelectionRange(after.from, after.to);
}

function byKey(event: KeyboardEvent): void {
  const wanted = emphases.find(({ key }) => key === event.key.toLowerCase());
  if (!wanted || !(event.ctrlKey || event.metaKey) || event.shiftKey || event.altKey) return;
  event.preventDefault();
  void emphasise(wanted.kind);
}
</script>

<template>
  <div class="block" :class="{ headline: isHeadline }">
    <div class="above">
      <label :for="id">{{ nameOf(slotName) }}</label>
      <span v-if="selected" class="emphases">
        <!-- In Safari the package's button would take the focus by itself, and the words would no longer be selected. -->
        <NButton
          v-for="one in emphases"
          :key="one.kind"
          native-focus-behavior
          text
          size="small"
          :title="one.key ? `${one.name} (Ctrl+${one.key.toUpperCase()})` : one.name"
          @mousedown.prevent
          @click="emphasise(one.kind)"
          >{{ one.name }}</NButton
        >
      </span>
      <NButton
        v-else-if="!text.trim()"
        size="tiny"
        quaternary
        :aria-label="`Take ${nameOf(slotName).toLowerCase()} out`"
        @click="takeOut"
      >
        <template #icon><X aria-hidden="true" /></template>
      </NButton>
      <span v-else-if="near" class="number">{{ text.length }} of {{ LIMITS.text }}</span>
    </div>
    <!-- The mirror behind has the same words, so the block is as high as what is typed. -->
    <div class="page" :data-text="`${text}\n`">
      <textarea
        :id="id"
        ref="area"
        :value="text"
        rows="1"
        :placeholder="hint"
        @input="type"
        @paste="pasteMarked"
        @select="watchSelection"
        @keyup="watchSelection"
        @mouseup="watchSelection"
        @blur="selected = false"
        @keydown="byKey"
      ></textarea>
    </div>
    <p v-if="without.length" class="without">
      {{ text.length }} characters; no room on {{ counted(without.length, "size") }}, first
      {{ without[0]!.name }}
    </p>
    <WordingList
      :slot-name="slotName"
      :wordings="{ text, alternatives: [...(alternatives ?? [])] }"
      @written="area?.focus()"
    />
  </div>
</template>

<style scoped>
.block {
  padding: 8px 0 8px 12px;
  margin-left: -14px;
  border-left: 2px solid transparent;
}

.without {
  display: none;
  color: var(--quiet);
  font-size: 12px;
}

.block:focus-within .without {
  display: block;
}

.block:focus-within {
  border-color: var(--zest);
}

.above {
  display: flex;
  justify-content: space-between;
  color: var(--quiet);
  font-size: 12px;
}

.emphases {
  display: flex;
  gap: 8px;
}

.page {
  display: grid;
  font-size: 15px;
  line-height: 1.4;
}

.page::after,
textarea {
  grid-area: 1 / 1;
  padding: 2px 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  overflow-wrap: anywhere;
  white-space: pre-wrap;
}

.page::after {
  visibility: hidden;
  content: attr(data-text);
}

textarea {
  overflow: hidden;
  outline: none;
  resize: none;
  caret-color: var(--zest);
}

textarea::placeholder {
  color: var(--quiet);
  font-style: italic;
}

.headline .page {
  font: 680 26px/1.15 var(--title);
}
</style>
