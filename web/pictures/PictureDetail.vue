<script setup lang="ts">
import { X } from "@lucide/vue";
import { NButton } from "naive-ui";
import { reactive, ref } from "vue";
import type { ListedPiece, StoredPicture } from "../../core/api";
import { editTo } from "../../core/edit";
import { api } from "../api/client";
import { counted } from "../common/counted";
import { useLibrary } from "../common/library";
import PictureShelf from "../common/PictureShelf.vue";
import TextField from "../ui/TextField.vue";
import { useToasts } from "../common/toasts";
import { withPictureReplaced } from "./picture-filter";

/** One picture: what it is and whom it is owed to, which pieces show it, another in its place everywhere, and the bin where nothing does. */
const props = defineProps<{ picture: StoredPicture; brand: string; users: ListedPiece[] }>();
const emit = defineEmits<{ close: [] }>();

const library = useLibrary();
const toasts = useToasts();
const shelfShown = ref(false);
const busy = ref(false);

const FIELDS = [
  { key: "name", label: "Name", most: 200, example: "" },
  { key: "credit", label: "Credit", most: 300, example: "Photo: …" },
  { key: "licence", label: "Licence", most: 300, example: "Where and how long it may be shown" },
] as const;
const { name, credit = "", licence = "" } = props.picture;
const said = reactive({ name, credit, licence });

/** Each field is kept when it is left; one that was emptied is forgotten. */
async function keep(): Promise<void> {
  if (!said.name.trim()) return;
  try {
    await api.notePicture(props.picture.id, said);
    await library.load();
  } catch (error) {
    toasts.fail(error);
  }
}

/** One edit for each piece, so that each can be undone where it is. */
async function replaceBy(id: string): Promise<void> {
  busy.value = true;
  try {
    for (const user of props.users) {
      const { piece } = await api.piece(user.id);
      const edit = editTo(piece, withPictureReplaced(piece, props.picture.id, id));
      if (edit) await api.edit(piece.id, edit, {});
    }
    toasts.tell(`Replaced in ${counted(props.users.length, "piece")}; each can be undone there.`);
  } catch (error) {
    toasts.fail(error);
  } finally {
    await library.load();
    busy.value = false;
  }
}

async function remove(): Promise<void> {
  try {
    await api.remove("picture", props.picture.id);
    await library.load();
    toasts.tell(`“${props.picture.name}” is in the bin for 30 days.`);
    emit("close");
  } catch (error) {
    toasts.fail(error);
  }
}
</script>

<template>
  <aside :aria-label="picture.name">
    <header>
      <h2>{{ picture.name }}</h2>
      <NButton quaternary size="small" aria-label="Close" @click="emit('close')">
        <X :size="16" aria-hidden="true" />
      </NButton>
    </header>
    <img :src="`/api/pictures/${picture.id}/rendition?width=640`" alt="" />
    <p class="quiet small number">{{ picture.width }} × {{ picture.height }} px</p>
    <form class="said" @submit.prevent="keep">
      <label v-for="field in FIELDS" :key="field.key">
        <span class="quiet small">{{ field.label }}</span>
        <TextField
          v-model="said[field.key]"
          :maxlength="field.most"
          :placeholder="field.example"
          :status="field.key === 'name' && !said.name.trim() ? 'error' : undefined"
          @change="keep"
        />
      </label>
    </form>
    <section aria-label="Shown in">
      <h3>Shown in</h3>
      <p v-if="users.length === 0" class="quiet">No piece shows it.</p>
      <ul v-else>
        <li v-for="piece in users" :key="piece.id">
          <RouterLink :to="{ name: 'piece', params: { id: piece.id, step: 'message' } }">
            {{ piece.title }}
          </RouterLink>
        </li>
      </ul>
    </section>
    <NButton v-if="users.length > 0" :disabled="busy" @click="shelfShown = true">
      {{ busy ? "Replacing …" : "Replace everywhere" }}
    </NButton>
    <NButton v-else @click="remove">Delete it</NButton>
    <PictureShelf v-model:shown="shelfShown" :brand="brand" @picked="replaceBy" />
  </aside>
</template>

<style scoped>
aside {
  position: sticky;
  top: 0;
  display: grid;
  flex: none;
  gap: 12px;
  justify-items: start;
  width: 300px;
  padding: 16px;
  border: 1px solid var(--line);
  background: var(--card);
}

header {
  display: flex;
  gap: 8px;
  justify-content: space-between;
  width: 100%;
}

h2 {
  overflow-wrap: anywhere;
  font-size: 15px;
}

img {
  max-width: 100%;
  max-height: 260px;
}

.said {
  display: grid;
  gap: 8px;
  width: 100%;
}

ul {
  padding-left: 18px;
  margin: 4px 0 0;
}
</style>
