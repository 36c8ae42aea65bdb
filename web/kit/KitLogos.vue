<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref, shallowRef } from "vue";
import type { BrandColour, Logo } from "../../core/brand";
import { logoName } from "../../core/wording/kits";
import { luminance } from "../../core/colour";
import type { FileId, ListedPicture, PictureFile } from "../../core/files";
import { asLogo, proposedLogos, type LogoProposal } from "../../core/kit";
import type { LogoWish } from "../../core/api";
import { api } from "../api/client";
import { useLibrary } from "../common/library";
import LogoPlate from "./LogoPlate.vue";
import LogoVersion from "./LogoVersion.vue";
import FileButton from "../ui/FileButton.vue";

/** The versions of a kit's logo, to be changed, and further ones made from those that are there. */
const logos = defineModel<Logo[]>({ required: true });
const props = defineProps<{ colours: BrandColour[] }>();

const library = useLibrary();
/** What was made here is not in the library yet. */
const made = shallowRef<readonly ListedPicture[]>([]);
const pictureOf = (id: FileId): ListedPicture | undefined =>
  made.value.find((one) => one.id === id) ?? library.pictures.find((one) => one.id === id);
const proposals = computed(() =>
  proposedLogos({ logos: logos.value, colours: props.colours }, pictureOf),
);
/** Files as they came, by those that stand in for them without their flat ground. */
const withGround = shallowRef<Readonly<Record<FileId, FileId>>>({});

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

const change = (index: number, to: Logo): void => {
  logos.value = logos.value.with(index, to);
};
const has = (file: string): boolean => logos.value.some((logo) => logo.file === file);

function add(picture: PictureFile, part: Partial<Logo> = {}): void {
  made.value = [...made.value, picture];
  if (!has(picture.id))
    logos.value = [...logos.value, { ...asLogo(picture, hexes.value), ...part }];
}

const upload = (files: File[]) =>
  step(async () => {
    for (const file of files) {
      const picture = await api.addPicture(file);
      add(picture);
      if (picture.art?.ground) await takeGround(picture.id);
    }
  });

/** Takes the flat ground away that a logo stands on; it can be given back. */
async function takeGround(file: FileId): Promise<void> {
  const wish: LogoWish = { as: "without-ground" };
  const picture = await api.logoVersion(file, wish);
  made.value = [...made.value, picture];
  withGround.value = { ...withGround.value, [picture.id]: file };
  exchange(file, picture);
}

function exchange(file: FileId, { id, art, ...rest }: PictureFile): void {
  const hadGround = pictureOf(file)?.art?.ground !== undefined;
  const { ground } = asLogo({ id, ...rest, ...(art ? { art } : {}) }, hexes.value);
  logos.value = logos.value.map((logo) =>
    logo.file === file ? { ...logo, file: id, ...(hadGround ? { ground } : {}) } : logo,
  );
}

const giveGroundBack = (file: FileId) =>
  step(async () => exchange(file, await api.picture(withGround.value[file]!)));

/** Takes a version into the kit that was only made when a size needed it. */
const keep = ({ logo, from, ink }: LogoProposal) =>
  step(async () => {
    if (!ink) {
      logos.value = [...logos.value, logo];
      return;
    }
    const picture = await api.logoVersion(from.id, { as: "one-colour", hex: ink });
    add(picture, { kind: logo.kind, ink: "one-colour", ground: logo.ground });
  });

/** For dark grounds a light one, and back. */
const inOneColour = (logo: Logo, ground: "light" | "dark") =>
  step(async () => {
    const wish: LogoWish = { as: "one-colour", hex: inks.value[ground] };
    const picture = await api.logoVersion(logo.file, wish);
    add(picture, { kind: logo.kind, ink: "one-colour", ground });
  });

const called = (name: string): string => name.charAt(0).toUpperCase() + name.slice(1);
</script>

<template>
  <section aria-label="Logos">
    <div class="section-head">
      <h2>Logos</h2>
      <FileButton
        plain
        multiple
        label="Add a version of the logo"
        accept="image/*,.svg"
        @open="upload"
        ><template #text>Add a version</template></FileButton
      >
    </div>
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <p v-if="logos.length === 0" class="quiet">
      No logo yet. Add one as SVG or PNG; the other versions can be made from it.
    </p>
    <LogoVersion
      v-for="(logo, index) in logos"
      :key="`${logo.file} ${logo.kind}`"
      :model-value="logo"
      :colours="colours"
      :picture="pictureOf(logo.file)"
      :had-ground="withGround[logo.file] !== undefined"
      :busy="busy"
      @update:model-value="change(index, $event)"
      @give-ground="giveGroundBack(logo.file)"
      @take-ground="step(() => takeGround(logo.file))"
      @one-colour="inOneColour(logo, $event)"
      @remove="logos = logos.filter((_, i) => i !== index)"
    />
    <template v-if="proposals.length > 0">
      <h3>Made automatically where a size needs them</h3>
      <ul class="proposals">
        <li v-for="one in proposals" :key="`${one.logo.kind} ${one.logo.ground} ${one.from.id}`">
          <LogoPlate
            :logo="one.logo"
            :colours="colours"
            :picture="one.from"
            :ink="one.ink"
            class="plate"
          />
          <span class="small">{{ called(logoName(one.logo)) }}</span>
          <NButton size="small" :disabled="busy" @click="keep(one)">Add to the kit</NButton>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.plate {
  height: 116px;
}

h3 {
  padding: 16px 0 8px;
  font: 600 13px/1.3 var(--text);
}

.proposals {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 16px;
  padding: 0;
  margin: 0;
  list-style: none;
}

.proposals li {
  display: grid;
  gap: 6px;
  justify-items: start;
}

.proposals .plate {
  width: 100%;
}
</style>
