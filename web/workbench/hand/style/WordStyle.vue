<script setup lang="ts">
import { NButton, NButtonGroup, NCheckbox } from "naive-ui";
import { computed } from "vue";
import { families } from "../../../../core/shelf";
import { TypeFeature } from "../../../../core/text";
import NumberField from "../../../ui/NumberField.vue";
import type { Option } from "../../../ui/options";
import SelectField from "../../../ui/SelectField.vue";
import { usePiece } from "../../piece";
import ColourField from "./ColourField.vue";
import { useHand } from "../hand";
import SliderLine from "./SliderLine.vue";
import { useHandStyle } from "./use-style";

/** How words are set. */
const hand = useHand();
const open = usePiece();
const { style, set } = useHandStyle();

const faces = computed((): Option[] => {
  const { headline, text, accent } = open.brand?.typefaces ?? {};
  const brand = Object.entries({ headline, text, accent }).flatMap(([value, face]) =>
    face ? [{ value, label: `${face.family}, for ${NAMES[value]}` }] : [],
  );
  const others = families.map(({ id, family }) => ({
    value: id,
    label: `${family}, not the brand’s`,
  }));
  return [...brand, ...others];
});
const NAMES: Record<string, string> = { headline: "headlines", text: "text", accent: "accents" };
const WEIGHTS = [300, 400, 500, 600, 700, 800, 900].map((value) => ({
  value,
  label: `Weight ${value}`,
}));

const fontSize = computed(() => hand.chosen[0]?.report.fontSize);
const rounded = (value: number | undefined): number | undefined =>
  value === undefined ? undefined : Math.round(value * 10) / 10;
function resize(size: number | undefined): void {
  if (size !== undefined && size >= 1)
    hand.resizeText(new Map(hand.chosen.map(({ id }) => [id, size])));
}

const ALIGNS = [
  { value: "left", label: "Left" },
  { value: "centre", label: "Centre" },
  { value: "right", label: "Right" },
] as const;
const HEIGHTS = [
  { value: "top", label: "Top" },
  { value: "middle", label: "Middle" },
  { value: "bottom", label: "Bottom" },
] as const;
const SLIDERS = [
  { key: "leading", label: "Between lines", usual: 1.2, min: 0.8, max: 1.8, step: 0.02 },
  { key: "tracking", label: "Between letters", usual: 0, min: -0.06, max: 0.3, step: 0.01 },
  { key: "gap", label: "Between points", usual: 0.55, min: 0, max: 2, step: 0.05 },
] as const;

// One by one, so that what shows one of them is drawn anew only when that one has changed.
const align = computed(() => style.value.align);
const valign = computed(() => style.value.valign ?? "top");
const isUpper = computed(() => style.value.case === "upper");
const bent = computed(() => style.value.arc ?? 0);
const features = computed(() => style.value.features ?? []);
const featureName = (feature: TypeFeature): string => {
  const plain = feature.replaceAll("-", " ").replace("set ", "style set ");
  return plain.charAt(0).toUpperCase() + plain.slice(1);
};
function toggle(feature: TypeFeature, on: boolean): void {
  const others = features.value.filter((one) => one !== feature);
  const next = on ? [...others, feature] : others;
  set({ features: next.length > 0 ? next : undefined });
}
const OUTLINE = { colour: "action", width: 0.03 };
const PLATE = { colour: "action", padding: 0.5, corner: 0.2, per: "block" } as const;
</script>

<template>
  <SelectField
    label="Typeface"
    size="small"
    :model-value="style.type"
    :options="faces"
    @update:model-value="set({ type: $event })"
  />
  <div class="pair">
    <SelectField
      label="Weight"
      size="small"
      :model-value="style.weight"
      placeholder="Its usual weight"
      :options="WEIGHTS"
      @update:model-value="set({ weight: $event })"
    />
    <NumberField
      size="small"
      sums
      label="Size of the words"
      :model-value="rounded(fontSize)"
      @update:model-value="resize"
    />
  </div>
  <label class="line">
    <span class="quiet small">Never under</span>
    <NumberField
      size="small"
      sums
      label="Never smaller than, in pixels of the lead"
      placeholder="what can be read"
      :model-value="rounded(style.least)"
      @update:model-value="set({ least: $event && $event >= 1 ? $event : undefined })"
    />
  </label>
  <NButtonGroup size="small">
    <NButton
      v-for="{ value, label } in ALIGNS"
      :key="value"
      :aria-pressed="align === value"
      :secondary="align === value"
      @click="set({ align: value })"
    >
      {{ label }}
    </NButton>
    <NButton
      :aria-pressed="isUpper"
      :secondary="isUpper"
      title="Capitals"
      @click="set({ case: isUpper ? 'as-typed' : 'upper' })"
    >
      AA
    </NButton>
  </NButtonGroup>
  <NButtonGroup size="small" aria-label="In the height of its box">
    <NButton
      v-for="{ value, label } in HEIGHTS"
      :key="value"
      :aria-pressed="valign === value"
      :secondary="valign === value"
      @click="set({ valign: value })"
    >
      {{ label }}
    </NButton>
  </NButtonGroup>
  <SliderLine
    v-for="{ key, label, usual, ...range } in SLIDERS"
    :key="key"
    :label="label"
    v-bind="range"
    :model-value="style[key] ?? usual"
    @update:model-value="set({ [key]: $event })"
  />
  <SliderLine
    label="Along a circle"
    of="in degrees"
    :min="-360"
    :max="360"
    :step="10"
    :model-value="bent"
    @update:model-value="set({ arc: $event === 0 ? undefined : $event })"
  />
  <details>
    <summary>Plate and outline</summary>
    <div class="more">
      <NCheckbox
        :checked="style.plate !== undefined"
        @update:checked="set({ plate: $event ? PLATE : undefined })"
      >
        On a plate
      </NCheckbox>
      <template v-if="style.plate">
        <ColourField
          label="Plate"
          :model-value="style.plate.colour"
          @update:model-value="set({ plate: { ...style.plate, colour: $event ?? 'action' } })"
        />
        <SliderLine
          label="Strength"
          of="of the plate"
          :min="0"
          :max="1"
          :step="0.05"
          :model-value="style.plate.opacity ?? 1"
          @update:model-value="set({ plate: { ...style.plate, opacity: $event } })"
        />
        <SliderLine
          label="Padding"
          of="of the plate"
          :min="0"
          :max="2"
          :step="0.05"
          :model-value="style.plate.padding ?? 0.8"
          @update:model-value="set({ plate: { ...style.plate, padding: $event } })"
        />
        <SliderLine
          label="Corners"
          of="of the plate"
          :min="0"
          :max="2"
          :step="0.05"
          :model-value="style.plate.corner ?? 0"
          @update:model-value="set({ plate: { ...style.plate, corner: $event } })"
        />
        <NCheckbox
          :checked="style.plate.per === 'line'"
          @update:checked="set({ plate: { ...style.plate, per: $event ? 'line' : 'block' } })"
        >
          Behind each line
        </NCheckbox>
      </template>
      <NCheckbox
        :checked="style.outline !== undefined"
        @update:checked="set({ outline: $event ? OUTLINE : undefined })"
      >
        Outlined letters
      </NCheckbox>
      <template v-if="style.outline">
        <ColourField
          label="Outline"
          :model-value="style.outline.colour"
          @update:model-value="set({ outline: { ...style.outline, colour: $event ?? 'action' } })"
        />
        <SliderLine
          label="Strength"
          of="of the outline"
          :min="0.005"
          :max="0.12"
          :step="0.005"
          :model-value="style.outline.width"
          @update:model-value="set({ outline: { ...style.outline, width: $event } })"
        />
      </template>
      <ColourField
        label="=Marked= words"
        :model-value="style.marker"
        @update:model-value="set({ marker: $event })"
      />
      <ColourField
        label="~Coloured~ words"
        :model-value="style.accent"
        @update:model-value="set({ accent: $event })"
      />
    </div>
  </details>
  <details>
    <summary>Letters of the typeface</summary>
    <div v-memo="[features.join()]" class="more">
      <NCheckbox
        v-for="feature in TypeFeature.options"
        :key="feature"
        :checked="features.includes(feature)"
        @update:checked="toggle(feature, $event)"
      >
        {{ featureName(feature) }}
      </NCheckbox>
    </div>
  </details>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 92px;
  gap: 8px;
}
</style>
