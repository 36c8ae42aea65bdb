<script setup lang="ts">
import { Brand, type BrandColour } from "../../core/brand";
import { luminance } from "../../core/colour";

/** What every piece of a brand does unless it says otherwise. */
const defaults = defineModel<Brand["defaults"]>({ required: true });
const props = defineProps<{ colours: BrandColour[] }>();

const set = (part: Partial<Brand["defaults"]>): void => {
  defaults.value = { ...defaults.value, ...part };
};
const value = (event: Event): string => (event.target as HTMLInputElement).value;
const corners = Brand.shape.defaults.unwrap().shape.corner.unwrap();

/** A duotone begins with the kit's darkest and lightest colour. */
function treat(kind: string): void {
  const sorted = [...props.colours].sort((a, b) => luminance(a.hex) - luminance(b.hex));
  const [dark, light] = [sorted[0]!.hex, sorted.at(-1)!.hex];
  set({ treatment: kind === "duotone" ? { kind, dark, light } : { kind: "none" } });
}

function tone(end: "dark" | "light", hex: string): void {
  const { treatment } = defaults.value;
  if (treatment.kind === "duotone") set({ treatment: { ...treatment, [end]: hex } });
}
</script>

<template>
  <section aria-label="Defaults" class="defaults labelled">
    <h2>Defaults</h2>
    <label>
      Corners
      <select
        class="field"
        :value="defaults.corner"
        @change="set({ corner: corners.parse(value($event)) })"
      >
        <option v-for="corner in corners.options" :key="corner" :value="corner">
          {{ corner }}
        </option>
      </select>
    </label>
    <label>
      Photographs
      <select class="field" :value="defaults.treatment.kind" @change="treat(value($event))">
        <option value="none">as they are</option>
        <option value="duotone">in two colours</option>
      </select>
    </label>
    <template v-if="defaults.treatment.kind === 'duotone'">
      <label v-for="end in ['dark', 'light'] as const" :key="end">
        {{ end === "dark" ? "Shadows" : "Lights" }}
        <input
          class="field"
          type="color"
          :value="defaults.treatment[end]"
          @change="tone(end, value($event))"
        />
      </label>
    </template>
    <label>
      Margins: {{ defaults.marginScale.toFixed(1) }} × what a placement asks for
      <input
        type="range"
        min="1"
        max="2"
        step="0.1"
        :value="defaults.marginScale"
        @input="set({ marginScale: Number(value($event)) })"
      />
    </label>
    <label>
      Plates over pictures: at least {{ Math.round(100 * defaults.plateStrength) }} %
      <input
        type="range"
        min="0"
        max="1"
        step="0.05"
        :value="defaults.plateStrength"
        @input="set({ plateStrength: Number(value($event)) })"
      />
    </label>
  </section>
</template>

<style scoped>
.defaults {
  display: grid;
  gap: 10px;
  align-content: start;
}
</style>
