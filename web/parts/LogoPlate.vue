<script setup lang="ts">
import { computed } from "vue";
import { logoName, type BrandColour, type Logo } from "../../core/brand";

/** A version of the logo on a ground that it is made for. */
const props = defineProps<{ logo: Logo; colours: readonly BrandColour[] }>();

const ROLE_OF = { light: "paper", any: "paper", dark: "primary" } as const;
const PLAIN = { light: "#ffffff", any: "#ffffff", dark: "#000000" } as const;
const ground = computed(() => {
  const role = ROLE_OF[props.logo.ground];
  return props.colours.find((colour) => colour.role === role)?.hex ?? PLAIN[props.logo.ground];
});
</script>

<template>
  <figure :style="{ background: ground }">
    <img
      :src="`/api/pictures/${logo.file}/rendition?width=640`"
      :alt="logoName(logo)"
      :class="logo.kind"
    />
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

img.full {
  width: 58%;
  object-fit: contain;
}

img.mark {
  width: 64px;
}
</style>
