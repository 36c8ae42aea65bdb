<script setup lang="ts">
import { computed } from "vue";
import { typefacesOf, type Brand } from "../../core/brand";
import { onColour, tintsOf } from "../../core/colour";
import type { ListedPiece } from "../../core/api";
import LogoPlate from "./LogoPlate.vue";
import PortraitCircle from "./PortraitCircle.vue";
import { sampleStyle, useTypefaces } from "./use-typeface";

/** What a kit holds, at a glance: colours with their roles and tints, logos, typefaces, voice, and what is made with it. */
const props = defineProps<{ brand: Brand; pieces: readonly ListedPiece[] }>();

useTypefaces(() => typefacesOf(props.brand).map(({ faces }) => faces[0]!.file));

const faces = computed(() => {
  const { name, typefaces } = props.brand;
  const { headline, text, accent } = typefaces;
  const short = name.split(" ")[0] ?? "";
  return [
    { name: "Headlines", face: headline, sample: short },
    ...(accent ? [{ name: "Accents", face: accent, sample: short }] : []),
    { name: "Text", face: text, sample: `${name}, 0123456789` },
  ];
});
</script>

<template>
  <section aria-label="Colours" class="colours">
    <div
      v-for="colour in brand.colours"
      :key="colour.id"
      :style="{ background: colour.hex, color: onColour(colour.hex) }"
    >
      <b>{{ colour.name }}</b>
      <span class="number">{{ colour.hex }}</span>
      <span>{{ colour.role === "free" ? "" : colour.role }}</span>
      <span class="tints" aria-hidden="true">
        <i
          v-for="tint in tintsOf(colour.hex)"
          :key="tint"
          :style="{ background: tint }"
          :title="tint.toUpperCase()"
        ></i>
      </span>
    </div>
  </section>
  <div class="columns">
    <section aria-label="Logos">
      <h2>Logos</h2>
      <div class="logos">
        <LogoPlate
          v-for="logo in brand.logos"
          :key="logo.file"
          :logo="logo"
          :colours="brand.colours"
        />
      </div>
    </section>
    <section aria-label="Typefaces">
      <h2>Typefaces</h2>
      <div class="faces">
        <template v-for="{ name, face, sample } in faces" :key="name">
          <p class="quiet small">{{ name }}: {{ face.family }}</p>
          <p
            :class="name === 'Text' ? 'text-sample' : 'headline-sample'"
            :style="sampleStyle(face)"
          >
            {{ sample }}
          </p>
        </template>
      </div>
      <h2>Voice</h2>
      <PortraitCircle v-if="brand.portrait" :file="brand.portrait" />
      <dl>
        <dt>Handle</dt>
        <dd>{{ brand.voice.handle || "none" }}</dd>
        <dt>Site</dt>
        <dd>{{ brand.voice.site || "none" }}</dd>
        <dt>Calls to action</dt>
        <dd>{{ brand.voice.callsToAction.join(", ") || "none" }}</dd>
        <dt>Hashtags</dt>
        <dd>{{ brand.voice.hashtags.join(" ") || "none" }}</dd>
        <dt>Words to avoid</dt>
        <dd>{{ brand.voice.avoid.join(", ") || "none" }}</dd>
        <dt>Tone</dt>
        <dd>{{ brand.voice.tone || "not said" }}</dd>
      </dl>
      <h2 v-if="pieces.length > 0">Pieces</h2>
      <ul>
        <li v-for="piece in pieces" :key="piece.id">
          <RouterLink :to="{ name: 'piece', params: { id: piece.id, step: 'sizes' } }">{{
            piece.title
          }}</RouterLink>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.colours {
  display: flex;
  height: 220px;
}

.colours div {
  display: grid;
  flex: 1;
  align-content: end;
  padding: 16px;
}

.tints {
  display: flex;
  height: 14px;
  margin: 10px -16px -16px;
}

.tints i {
  flex: 1;
}

.colours div:first-child {
  flex: 2;
}

.columns {
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 40px;
}

.faces {
  display: grid;
  gap: 4px;
  margin-bottom: 28px;
}

.headline-sample {
  padding-bottom: 12px;
  font-size: 56px;
  line-height: 1.05;
}

.text-sample {
  font-size: 18px;
}

.logos {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}

dl {
  display: grid;
  grid-template-columns: 120px 1fr;
  gap: 6px 16px;
  margin: 0 0 24px;
}

dt {
  color: var(--quiet);
}

dd {
  margin: 0;
}

ul {
  padding-left: 18px;
  margin: 0;
}

section > h2 {
  margin-bottom: 12px;
}
</style>
