<script setup lang="ts">
import { NButton } from "naive-ui";
import { ref } from "vue";
import type { FontAnswer } from "../../core/api";
import { api } from "../api/client";
import FileButton from "../ui/FileButton.vue";

/** A font file to try: it is checked and stored, and what it can do is said. */
const font = defineModel<FontAnswer | undefined>({ required: true });
const failure = ref("");
const busy = ref(false);

const licences: Record<string, string> = {
  free: "May be built into other files.",
  editable: "May be built into files that can be edited.",
  "print-and-preview": "May be built into files for print and preview only.",
  forbidden: "Its licence bits forbid building it into other files, so an SVG keeps outlines.",
};

async function take(file: File | undefined): Promise<void> {
  if (!file) return;
  busy.value = true;
  failure.value = "";
  try {
    font.value = await api.addFont(file);
  } catch (error) {
    failure.value = (error as Error).message;
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <section aria-label="Try your own font">
    <h2>Try your own font</h2>
    <FileButton
      label="Try a font file"
      accept=".ttf,.otf,.ttc,.otc,.woff,.woff2"
      :disabled="busy"
      @open="take($event[0])"
      ><template #text>{{ busy ? "Reading it …" : "Try a font file" }}</template></FileButton
    >
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <template v-if="font">
      <dl v-for="face in font.faces" :key="face.index">
        <dt>Family</dt>
        <dd>{{ face.family || font.name }}</dd>
        <dt>Characters</dt>
        <dd class="number">{{ face.characters.toLocaleString("en") }}</dd>
        <dt>Scripts</dt>
        <dd>{{ face.scripts.join(", ") || "none whole" }}</dd>
        <dt>Axes</dt>
        <dd>
          <span v-for="(axis, tag) in face.axes" :key="tag" class="number"
            >{{ tag }} {{ axis.min }}–{{ axis.max }}
          </span>
          <span v-if="Object.keys(face.axes).length === 0">none</span>
        </dd>
        <dt>Licence</dt>
        <dd>{{ licences[face.embedding] }}</dd>
      </dl>
      <NButton @click="font = undefined">Back to the brand's own</NButton>
    </template>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
  justify-items: start;
}

.failure {
  margin: 0;
  color: var(--berry);
}

dl {
  display: grid;
  grid-template-columns: 80px 1fr;
  gap: 4px 12px;
  margin: 0;
  font-size: 13px;
}

dt {
  color: var(--quiet);
}

dd {
  margin: 0;
}
</style>
