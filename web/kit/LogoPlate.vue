<script setup lang="ts">
import { computed } from "vue";
import { type BrandColour, type Logo } from "../../core/brand";
import { logoName } from "../../core/wording/kits";
import type { Hex } from "../../core/colour";
import type { ListedPicture } from "../../core/files";

/** A version of the logo on a ground that it is made for. `ink` fills its outline, before a version of that colour is made. */
const props = defineProps<{
  logo: Logo;
  colours: readonly BrandColour[];
  picture?: ListedPicture | undefined;
  ink?: Hex | undefined;
}>();

const ROLE_OF = { light: "paper", any: "paper", dark: "primary" } as const;
const PLAIN = { light: "#ffffff", any: "#ffffff", dark: "#000000" } as const;
const ground = computed(() => {
  const role = ROLE_OF[props.logo.ground];
  return props.colours.find((colour) => colour.role === role)?.hex ?? PLAIN[props.logo.ground];
});
const source = computed(() => `/api/pictures/${props.logo.file}/rendition?width=640`);
const filled = computed(() => ({
  background: props.ink,
  mask: `url("${source.value}") center / contain no-repeat`,
}));
/** The part of the file that the version is, in the file's own pixels. */
const part = computed(() => {
  const { picture, logo } = props;
  if (!picture || !logo.part) return undefined;
  const { x, y, width, height } = logo.part;
  const [w, h] = [picture.width, picture.height];
  return { picture, viewBox: [x * w, y * h, width * w, height * h].join(" ") };
});
</script>

<template>
  <figure :style="{ background: ground }">
    <span
      v-if="ink"
      role="img"
      :aria-label="logoName(logo)"
      :class="logo.kind"
      :style="filled"
    ></span>
    <svg
      v-else-if="part"
      role="img"
      :aria-label="logoName(logo)"
      :class="logo.kind"
      :viewBox="part.viewBox"
    >
      <image :href="source" :width="part.picture.width" :height="part.picture.height" />
    </svg>
    <img v-else :src="source" :alt="logoName(logo)" :class="logo.kind" />
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  place-items: center;
  height: 148px;
  margin: 0;
  overflow: hidden;
  outline: 1px solid var(--line);
  outline-offset: -1px;
}

img {
  max-height: 76%;
}

.full {
  width: 58%;
  object-fit: contain;
}

.mark {
  width: 64px;
}

span,
svg {
  height: 60%;
}
</style>
