<script setup lang="ts">
import { ImagePlus, X } from "@lucide/vue";
import { NButton } from "naive-ui";
import { computed, ref, useTemplateRef } from "vue";
import type { PictureFilling } from "../../core/piece";
import { useLibrary } from "../stores/library";
import { usePiece } from "../stores/piece";
import { useToasts } from "../stores/toasts";
import PictureShelf from "./PictureShelf.vue";
import { slotName as nameOf } from "../../core/message";

/** One picture of the message: replaced by a drop, a paste or from the shelf; its focus is moved by a click. */
const props = defineProps<{ slotName: string; filling: PictureFilling }>();

const open = usePiece();
const library = useLibrary();
const toasts = useToasts();
const chooser = useTemplateRef("chooser");
const shelfShown = ref(false);
const over = ref(false);
const busy = ref(false);

const was = computed(() => {
  const { picture, focus, alt } = props.filling;
  return { picture, focus, alt };
});
/** The one that a person has set, else the one that was found. */
const focus = computed(() => {
  const file = library.pictures.find(({ id }) => id === props.filling.picture);
  return props.filling.focus ?? file?.focus ?? { x: 0.5, y: 0.5 };
});

function put(picture: string): void {
  if (picture === props.filling.picture) return;
  open.change({ kind: "picture", slot: props.slotName, to: { picture }, was: was.value });
}

function takeOut(): void {
  open.change({ kind: "slot", slot: props.slotName, to: null, was: props.filling });
}

async function take(file: File | null | undefined): Promise<void> {
  if (!file) return;
  busy.value = true;
  try {
    put((await library.addPicture(file, open.piece?.brand)).id);
  } catch (error) {
    toasts.fail(error);
  } finally {
    busy.value = false;
  }
}

function drop(event: DragEvent): void {
  over.value = false;
  void take(event.dataTransfer?.files[0]);
}

function paste(event: ClipboardEvent): void {
  const file = event.clipboardData?.files[0];
  if (file) event.preventDefault();
  void take(file);
}

function chosen(event: Event): void {
  const input = event.target as HTMLInputElement;
  void take(input.files?.[0]);
  input.value = "";
}

const moveTo = (x: number, y: number): void =>
  open.change({
    kind: "picture",
    slot: props.slotName,
    to: { ...was.value, focus: { ...props.filling.focus, x: clamp(x), y: clamp(y) } },
    was: was.value,
  });

const clamp = (value: number): number => Math.round(Math.min(1, Math.max(0, value)) * 1000) / 1000;

function pick(event: MouseEvent): void {
  const frame = (event.currentTarget as HTMLElement).getBoundingClientRect();
  moveTo((event.clientX - frame.x) / frame.width, (event.clientY - frame.y) / frame.height);
}

const steps: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

function nudge(event: KeyboardEvent): void {
  const step = steps[event.key];
  if (!step) return;
  event.preventDefault();
  const by = event.shiftKey ? 0.1 : 0.01;
  moveTo(focus.value.x + step[0] * by, focus.value.y + step[1] * by);
}

function describe(event: Event): void {
  const alt = (event.target as HTMLInputElement).value.trim();
  open.change({ kind: "picture", slot: props.slotName, to: { ...was.value, alt }, was: was.value });
}
</script>

<template>
  <div class="block" @paste="paste">
    <div class="above">
      <span>{{ nameOf(slotName) }}</span>
      <span>{{ filling.focus ? "click to move the focus" : "focus found; click to move it" }}</span>
    </div>
    <button
      class="frame"
      :class="{ over }"
      :aria-label="`Focus of the ${nameOf(slotName).toLowerCase()}: ${Math.round(focus.x * 100)} % across, ${Math.round(focus.y * 100)} % down. Arrow keys move it.`"
      @click="pick"
      @keydown="nudge"
      @dragover.prevent="over = true"
      @dragleave="over = false"
      @drop.prevent="drop"
    >
      <img :src="`/api/pictures/${filling.picture}/rendition?width=640`" :alt="filling.alt ?? ''" />
      <i class="focus" :style="{ left: `${focus.x * 100}%`, top: `${focus.y * 100}%` }"></i>
    </button>
    <input
      class="alt"
      :value="filling.alt ?? ''"
      maxlength="1000"
      :aria-label="`What the ${nameOf(slotName).toLowerCase()} shows`"
      placeholder="Say what it shows"
      @change="describe"
    />
    <div class="actions">
      <NButton size="small" :disabled="busy" @click="chooser?.click()">
        <template #icon><ImagePlus aria-hidden="true" /></template>
        {{ busy ? "Storing …" : "Replace" }}
      </NButton>
      <NButton size="small" quaternary @click="shelfShown = true">From the shelf</NButton>
      <NButton size="small" quaternary title="Take it out" aria-label="Take out" @click="takeOut">
        <template #icon><X aria-hidden="true" /></template>
      </NButton>
    </div>
    <input
      ref="chooser"
      class="hidden-name"
      type="file"
      accept="image/*"
      tabindex="-1"
      :aria-label="`Replace the ${slotName}`"
      @change="chosen"
    />
    <PictureShelf v-model:shown="shelfShown" :brand="open.piece?.brand ?? ''" @picked="put" />
  </div>
</template>

<style scoped>
.block {
  display: grid;
  gap: 6px;
  padding: 8px 0;
}

.above {
  display: flex;
  justify-content: space-between;
  color: var(--quiet);
  font-size: 12px;
}

.frame {
  position: relative;
  display: block;
  padding: 0;
  border: 0;
  background: none;
  cursor: crosshair;
}

.frame.over {
  outline: 2px dashed var(--zest);
  outline-offset: 2px;
}

img {
  display: block;
  width: 100%;
  max-height: 260px;
}

.focus {
  position: absolute;
  width: 24px;
  height: 24px;
  border: 2.5px solid var(--zest);
  border-radius: 50%;
  box-shadow: 0 0 0 1px #fff;
  transform: translate(-50%, -50%);
}

.alt {
  padding: 2px 0;
  border: 0;
  border-bottom: 1px solid transparent;
  background: none;
  color: var(--quiet);
  font: inherit;
  font-size: 13px;
  text-overflow: ellipsis;
}

.alt::placeholder {
  color: var(--quiet);
  font-style: italic;
}

.alt:hover {
  border-color: var(--line-strong);
}

.actions {
  display: flex;
  gap: 4px;
}
</style>
