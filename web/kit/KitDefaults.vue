<script setup lang="ts">
import { NColorPicker } from "naive-ui";
import { Brand, type BrandColour } from "../../core/brand";
import { luminance } from "../../core/colour";
import SelectField from "../ui/SelectField.vue";
import SliderField from "../ui/SliderField.vue";
import { asOptions } from "../ui/options";

/** What every piece of a brand does unless it says otherwise. */
const defaults = defineModel<Brand["defaults"]>({ required: true });
const props = defineProps<{ colours: BrandColour[] }>();

const set = (part: Partial<Brand["defaults"]>): void => {
  defaults.value = { ...defaults.value, ...part };
};
const corners = Brand.shape.defaults.unwrap().shape.corner.unwrap();
const cornerOptions = asOptions(corners.options);
const treatments = [
  { value: "none", label: "as they are" },
  { value: "duotone", label: "in two colours" },
];

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
      <SelectField
        label="Corners"
        :model-value="defaults.corner"
        :options="cornerOptions"
        @update:model-value="set({ corner: corners.parse($event) })"
      />
    </label>
    <label>
      Photographs
      <SelectField
        label="Photographs"
        :model-value="defaults.treatment.kind"
        :options="treatments"
        @update:model-value="treat($event ?? 'none')"
      />
    </label>
    <template v-if="defaults.treatment.kind === 'duotone'">
      <label v-for="end in ['dark', 'light'] as const" :key="end">
        {{ end === "dark" ? "Shadows" : "Lights" }}
        <NColorPicker
          :value="defaults.treatment[end]"
          :show-alpha="false"
          :modes="['hex']"
          :swatches="colours.map(({ hex }) => hex)"
          @update:value="tone(end, $event)"
        />
      </label>
    </template>
    <label>
      Margins: {{ defaults.marginScale.toFixed(1) }} × what a placement asks for
      <SliderField
        label="Margins"
        :min="1"
        :max="2"
        :step="0.1"
        :model-value="defaults.marginScale"
        @update:model-value="set({ marginScale: $event })"
      />
    </label>
    <label>
      Plates over pictures: at least {{ Math.round(100 * defaults.plateStrength) }} %
      <SliderField
        label="Plates over pictures"
        :min="0"
        :max="1"
        :step="0.05"
        :model-value="defaults.plateStrength"
        @update:model-value="set({ plateStrength: $event })"
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
