<script setup lang="ts">
import { ImagePlus, X } from "@lucide/vue";
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import type { Area } from "../../../core/files";
import type { PictureFilling } from "../../../core/piece";
import { useLibrary } from "../../common/library";
import { usePiece } from "../piece";
import { useToasts } from "../../common/toasts";
import { describeAreas } from "./areas";
import PictureAreas from "./PictureAreas.vue";
import PictureShelf from "../../common/PictureShelf.vue";
import { slotName as nameOf } from "../../../core/message";
import FileButton from "../../ui/FileButton.vue";
import TextField from "../../ui/TextField.vue";

/** One picture of the message: replaced by a drop, a paste or from the shelf, with what of it is kept whole. */
const props = defineProps<{ slotName: string; filling: PictureFilling }>();

const open = usePiece();
const library = useLibrary();
const toasts = useToasts();
const shelfShown = ref(false);
const over = ref(false);
const busy = ref(false);

const file = computed(() => library.pictures.find(({ id }) => id === props.filling.picture));
/** What a person has said, else what was found. */
const areas = computed(() => props.filling.areas ?? file.value?.areas ?? []);
const about = computed(() =>
  describeAreas(areas.value, props.filling.areas !== undefined, file.value?.facesSought ?? false),
);

function keep(kept: Area[] | undefined): void {
  open.set(["message", props.slotName, "areas"], kept ?? null);
}

function put(picture: string): void {
  const { piece } = open;
  if (!piece || picture === props.filling.picture) return;
  // What was said of the one before is not true of this one.
  const { areas: _areas, alt: _alt, ...rest } = props.filling;
  const message = { ...piece.message, [props.slotName]: { ...rest, picture } };
  open.become({ ...piece, message });
}

function takeOut(): void {
  open.set(["message", props.slotName], null);
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

function describe(alt: string): void {
  open.set(["message", props.slotName, "alt"], alt.trim());
}
</script>

<template>
  <div class="block" @paste="paste">
    <div class="above">
      <span>{{ nameOf(slotName) }}</span>
      <span>{{ about }}</span>
    </div>
    <div
      class="frame"
      :class="{ over }"
      @dragover.prevent="over = true"
      @dragleave="over = false"
      @drop.prevent="drop"
    >
      <PictureAreas
        :name="nameOf(slotName)"
        :src="`/api/pictures/${filling.picture}/rendition?width=640`"
        :alt="filling.alt ?? ''"
        :areas
        @change="keep"
      />
    </div>
    <TextField
      class="alt"
      size="small"
      :model-value="filling.alt ?? ''"
      :maxlength="1000"
      :label="`What the ${nameOf(slotName).toLowerCase()} shows`"
      placeholder="Alt text: what it shows"
      @change="describe"
    />
    <div class="actions">
      <FileButton
        :label="`Replace the ${slotName}`"
        accept="image/*"
        size="small"
        :disabled="busy"
        @open="take($event[0])"
        ><template #text
          ><ImagePlus :size="16" aria-hidden="true" />
          {{ busy ? "Storing …" : "Replace" }}</template
        ></FileButton
      >
      <NButton size="small" quaternary @click="shelfShown = true">Choose another</NButton>
      <NButton v-if="filling.areas" size="small" quaternary @click="keep(undefined)">
        Reset focus
      </NButton>
      <NButton size="small" quaternary title="Take it out" aria-label="Take out" @click="takeOut">
        <template #icon><X aria-hidden="true" /></template>
      </NButton>
    </div>

    <PictureShelf v-model:shown="shelfShown" :brand="open.piece?.brand ?? ''" @picked="put" />
  </div>
</template>

<style scoped>
.block {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  padding: 8px 0;
}

.above {
  display: flex;
  gap: 12px;
  justify-content: space-between;
  color: var(--quiet);
  font-size: 12px;
}

.frame.over {
  outline: 2px dashed var(--zest);
  outline-offset: 2px;
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
  flex-wrap: wrap;
  gap: 4px;
}
</style>
