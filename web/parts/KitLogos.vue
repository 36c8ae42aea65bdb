<script setup lang="ts">
import { X } from "@lucide/vue";
import { computed, ref } from "vue";
import { Logo, logoName, type BrandColour } from "../../core/brand";
import { luminance } from "../../core/colour";
import type { PictureFile } from "../../core/files";
import { asLogo } from "../../core/kit";
import type { LogoWish } from "../../core/api";
import { api } from "../api/client";
import LogoPlate from "./LogoPlate.vue";

/** The versions of a kit's logo, to be changed, and further ones made from those that are there. */
const logos = defineModel<Logo[]>({ required: true });
const props = defineProps<{ colours: BrandColour[] }>();

const busy = ref(false);
const failure = ref("");

/** Runs one step that asks the server; what goes wrong is said here and changes nothing. */
async function step(work: () => Promise<void>): Promise<void> {
  busy.value = true;
  failure.value = "";
  try {
    await work();
  } catch (error) {
    failure.value = (error as Error).message;
  } finally {
    busy.value = false;
  }
}

const hexes = computed(() => props.colours.map(({ hex }) => hex));
const byLight = computed(() => [...hexes.value].sort((a, b) => luminance(a) - luminance(b)));
/** The ink of a one-colour version: the kit's darkest or lightest. */
const inks = computed(() => ({ light: byLight.value[0]!, dark: byLight.value.at(-1)! }));

const change = (index: number, part: Partial<Logo>): void => {
  logos.value = logos.value.map((logo, i) => (i === index ? { ...logo, ...part } : logo));
};
const has = (file: string): boolean => logos.value.some((logo) => logo.file === file);

function add(picture: PictureFile, part: Partial<Logo> = {}): void {
  if (!has(picture.id))
    logos.value = [...logos.value, { ...asLogo(picture, hexes.value), ...part }];
}

const upload = (event: Event) =>
  step(async () => {
    const input = event.target as HTMLInputElement;
    for (const file of input.files ?? []) add(await api.addPicture(file));
    input.value = "";
  });

const withoutGround = (index: number) =>
  step(async () => {
    const wish: LogoWish = { as: "without-ground" };
    const { id } = await api.logoVersion(logos.value[index]!.file, wish);
    change(index, { file: id });
  });

/** For dark grounds a light one, and back. */
const inOneColour = (logo: Logo, ground: "light" | "dark") =>
  step(async () => {
    const wish: LogoWish = { as: "one-colour", hex: inks.value[ground] };
    const picture = await api.logoVersion(logo.file, wish);
    add(picture, { kind: logo.kind, ink: "one-colour", ground });
  });

const GROUNDS = ["light", "dark", "any"] as const;
const value = (event: Event): string => (event.target as HTMLInputElement).value;
const number = (event: Event): number => (event.target as HTMLInputElement).valueAsNumber;
</script>

<template>
  <section aria-label="Logos">
    <div class="section-head">
      <h2>Logos</h2>
      <label class="button plain file">
        Add a version
        <input
          class="hidden-name"
          type="file"
          accept="image/*,.svg"
          multiple
          aria-label="Add a version of the logo"
          @change="upload"
        />
      </label>
    </div>
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <p v-if="logos.length === 0" class="quiet">
      No logo yet. Add one as SVG or PNG; the other versions can be made from it.
    </p>
    <div v-for="(logo, index) in logos" :key="logo.file" class="logo">
      <LogoPlate :logo="logo" :colours="colours" class="plate" />
      <div class="settings labelled">
        <label>
          Kind
          <select
            class="field"
            :value="logo.kind"
            @change="change(index, { kind: value($event) === 'mark' ? 'mark' : 'full' })"
          >
            <option value="full">full logo</option>
            <option value="mark">mark alone</option>
          </select>
        </label>
        <label>
          Colours
          <select
            class="field"
            :value="logo.ink"
            @change="change(index, { ink: value($event) === 'own' ? 'own' : 'one-colour' })"
          >
            <option value="own">its own</option>
            <option value="one-colour">one colour</option>
          </select>
        </label>
        <label>
          Stands on
          <select
            class="field"
            :value="logo.ground"
            @change="change(index, { ground: Logo.shape.ground.parse(value($event)) })"
          >
            <option v-for="ground in GROUNDS" :key="ground" :value="ground">
              {{ ground === "any" ? "any ground" : `${ground} grounds` }}
            </option>
          </select>
        </label>
        <label>
          Clear space, % of height
          <input
            class="field number"
            type="number"
            min="0"
            max="100"
            step="5"
            :value="Math.round(100 * logo.clear)"
            @change="change(index, { clear: number($event) / 100 || 0 })"
          />
        </label>
        <label>
          Least width, px
          <input
            class="field number"
            type="number"
            min="8"
            max="400"
            :value="logo.leastWidth"
            @change="change(index, { leastWidth: number($event) || 16 })"
          />
        </label>
        <div class="makes">
          <button class="button plain" :disabled="busy" @click="withoutGround(index)">
            Take its flat ground away
          </button>
          <button class="button plain" :disabled="busy" @click="inOneColour(logo, 'light')">
            One colour, dark
          </button>
          <button class="button plain" :disabled="busy" @click="inOneColour(logo, 'dark')">
            One colour, light
          </button>
        </div>
      </div>
      <button
        class="button plain remove"
        :aria-label="`Take out the ${logoName(logo)}`"
        @click="logos = logos.filter((_, i) => i !== index)"
      >
        <X :size="16" aria-hidden="true" />
      </button>
    </div>
  </section>
</template>

<style scoped>
.file {
  position: relative;
}

.logo {
  display: grid;
  grid-template-columns: 200px 1fr auto;
  gap: 16px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}

.plate {
  height: 116px;
}

.settings {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-content: start;
}

.settings .field {
  width: 128px;
}

.makes {
  display: flex;
  flex-basis: 100%;
  flex-wrap: wrap;
  gap: 4px;
}

.remove {
  align-self: start;
}
</style>
