<script setup lang="ts">
import { computed } from "vue";
import { useBatch } from "../stores/batch";
import { useLibrary } from "../stores/library";
import { usePiece } from "../stores/piece";

/** How the table is combined, for which sizes, and how much that makes. */
const batch = useBatch();
const library = useLibrary();
const open = usePiece();

const logos = computed(
  () => new Set(library.brands.flatMap((brand) => brand.logos.map((l) => l.file))),
);
const pictures = computed(() => library.pictures.filter((picture) => !logos.value.has(picture.id)));
const sizes = computed(() =>
  (open.piece?.sizes ?? []).flatMap((size) => library.placementById.get(size.placement) ?? []),
);
const ready = computed(() => (batch.plan?.files ?? 0) > 0);
const count = computed(() => {
  const { plan } = batch;
  if (!plan) return "";
  const variations = plan.variations === 1 ? "1 variation" : `${plan.variations} variations`;
  const each = batch.placements.length === 1 ? "1 size" : `${batch.placements.length} sizes`;
  return `${variations} × ${each} = ${plan.files} ${plan.files === 1 ? "file" : "files"}`;
});

function toggle(list: string[], id: string): string[] {
  return list.includes(id) ? list.filter((other) => other !== id) : [...list, id];
}
</script>

<template>
  <section class="setup" aria-label="How to combine">
    <fieldset>
      <legend>Pairing</legend>
      <label
        ><input v-model="batch.pairing" type="radio" value="in-step" /> In step: row by row</label
      >
      <label
        ><input v-model="batch.pairing" type="radio" value="every-mix" /> Every mix of the
        columns</label
      >
    </fieldset>
    <fieldset v-if="batch.pictureSlot">
      <legend>
        Pictures
        <span class="quiet">{{
          batch.pictures.length ? `${batch.pictures.length} chosen` : "the piece's own"
        }}</span>
      </legend>
      <div class="pictures">
        <button
          v-for="picture in pictures"
          :key="picture.id"
          :aria-pressed="batch.pictures.includes(picture.id)"
          :aria-label="picture.name"
          @click="batch.pictures = toggle(batch.pictures, picture.id)"
        >
          <img :src="`/api/pictures/${picture.id}/rendition?width=320`" alt="" />
        </button>
      </div>
    </fieldset>
    <fieldset>
      <legend>Sizes</legend>
      <div class="sizes">
        <label v-for="placement in sizes" :key="placement.id">
          <input
            type="checkbox"
            :checked="batch.placements.includes(placement.id)"
            @change="batch.placements = toggle(batch.placements, placement.id)"
          />
          {{ placement.name }}
        </label>
      </div>
    </fieldset>
    <div class="make">
      <label>
        Files
        <select v-model="batch.format" class="field">
          <option value="jpeg">JPEG</option>
          <option value="png">PNG</option>
          <option value="webp">WebP</option>
        </select>
      </label>
      <label>
        at
        <select v-model="batch.scale" class="field">
          <option :value="1">size × 1</option>
          <option :value="2">size × 2</option>
        </select>
      </label>
      <span class="space"></span>
      <strong class="number" role="status">{{ count }}</strong>
      <button class="button main" :disabled="!ready" @click="batch.start()">Make them</button>
    </div>
  </section>
</template>

<style scoped>
.setup {
  display: grid;
  gap: 16px;
}

fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  padding: 0;
  margin: 0;
  border: 0;
}

legend {
  padding-bottom: 6px;
  font-weight: 650;
}

legend .quiet {
  font-weight: 400;
}

input {
  accent-color: var(--leaf);
}

.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.pictures button {
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
}

.pictures img {
  display: block;
  height: 64px;
}

.pictures button[aria-pressed="true"] img {
  outline: 3px solid var(--zest);
  outline-offset: 1px;
}

.sizes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 4px 16px;
  width: 100%;
}

.make {
  display: flex;
  gap: 12px;
  align-items: center;
  padding-top: 12px;
  border-top: 1px solid var(--line);
}

.make label {
  display: flex;
  gap: 6px;
  align-items: center;
}

.make select {
  width: auto;
}

.space {
  flex: 1;
}
</style>
