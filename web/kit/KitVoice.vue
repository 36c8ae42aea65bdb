<script setup lang="ts">
import type { Brand } from "../../core/brand";

/** How a brand speaks, to be changed. Calls to action and words to avoid stand one on a line. */
const voice = defineModel<Brand["voice"]>({ required: true });

const set = (part: Partial<Brand["voice"]>): void => {
  voice.value = { ...voice.value, ...part };
};
const value = (event: Event): string => (event.target as HTMLInputElement).value;
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
      <input class="field" :value="voice.handle" @input="set({ handle: value($event) })" />
    </label>
    <label>
      Site
      <input class="field" :value="voice.site" @input="set({ site: value($event) })" />
    </label>
    <label>
      Calls to action, one on a line
      <textarea
        class="field"
        rows="3"
        :value="voice.callsToAction.join('\n')"
        @change="set({ callsToAction: lines(value($event)) })"
      ></textarea>
    </label>
    <label>
      Hashtags
      <input
        class="field"
        :value="voice.hashtags.join(' ')"
        @change="set({ hashtags: tags(value($event)) })"
      />
    </label>
    <label>
      Words to avoid, one on a line
      <textarea
        class="field"
        rows="2"
        :value="voice.avoid.join('\n')"
        @change="set({ avoid: lines(value($event)) })"
      ></textarea>
    </label>
    <label>
      Tone
      <textarea class="field" rows="2" :value="voice.tone" @input="set({ tone: value($event) })" />
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
