<script setup lang="ts">
import type { Brand } from "../../core/brand";
import TextField from "../ui/TextField.vue";

/** How a brand speaks, to be changed. Calls to action and words to avoid stand one on a line. */
const voice = defineModel<Brand["voice"]>({ required: true });

const set = (part: Partial<Brand["voice"]>): void => {
  voice.value = { ...voice.value, ...part };
};
const lines = (text: string): string[] =>
  text
    .split("\n")
    .map((line) => line.trim())
    .filter(Boolean);
/** Hashtags are written with one #, however they were typed. */
const tags = (text: string): string[] =>
  text
    .split(/[\s,]+/)
    .map((tag) => tag.replace(/^#+/, ""))
    .filter(Boolean)
    .map((tag) => `#${tag}`);
</script>

<template>
  <section aria-label="Voice" class="voice labelled">
    <h2>Voice</h2>
    <label>
      Handle
      <TextField :model-value="voice.handle" @update:model-value="set({ handle: $event ?? '' })" />
    </label>
    <label>
      Site
      <TextField :model-value="voice.site" @update:model-value="set({ site: $event ?? '' })" />
    </label>
    <label>
      Calls to action, one on a line
      <TextField
        :rows="3"
        :model-value="voice.callsToAction.join('\n')"
        @change="set({ callsToAction: lines($event) })"
      />
    </label>
    <label>
      Hashtags
      <TextField
        :model-value="voice.hashtags.join(' ')"
        @change="set({ hashtags: tags($event) })"
      />
    </label>
    <label>
      Words to avoid, one on a line
      <TextField
        :rows="2"
        :model-value="voice.avoid.join('\n')"
        @change="set({ avoid: lines($event) })"
      />
    </label>
    <label>
      Tone
      <TextField
        :rows="2"
        :model-value="voice.tone"
        @update:model-value="set({ tone: $event ?? '' })"
      />
    </label>
  </section>
</template>

<style scoped>
.voice {
  display: grid;
  gap: 10px;
  align-content: start;
}
</style>
