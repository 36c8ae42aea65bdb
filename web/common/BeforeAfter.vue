<script setup lang="ts">
import type { Brand } from "../../core/brand";
import type { Piece } from "../../core/piece";
import type { Placement } from "../../core/placements";
import VersionTile from "./VersionTile.vue";

/** One size before and after a change. `width` is CSS pixels for each of the two. */
interface Version {
  piece: Piece;
  placement: Placement;
}
const props = defineProps<{
  name: string;
  before: Version;
  after: Version;
  brand: Brand;
  width: number;
}>();

/** Both at one scale, also where the placement itself has changed. */
const widthOf = ({ placement }: Version): number =>
  Math.max(1, Math.round((props.width * placement.width) / props.before.placement.width));
</script>

<template>
  <figure>
    <div class="pair">
      <VersionTile
        v-for="[when, version] in [['Before', before] as const, ['After', after] as const]"
        :key="when"
        v-bind="version"
        :brand="brand"
        :width="widthOf(version)"
        :label="`${name}, ${when.toLowerCase()}`"
      />
    </div>
    <figcaption><span class="quiet">before, after</span> {{ name }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  gap: 6px;
  width: fit-content;
  margin: 0;
}

.pair {
  display: flex;
  gap: 10px;
  align-items: end;
}

figcaption {
  display: flex;
  flex-direction: row-reverse;
  gap: 12px;
  justify-content: space-between;
  font-size: 12.5px;
}
</style>
