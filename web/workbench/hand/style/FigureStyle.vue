<script setup lang="ts">
import { NCheckbox } from "naive-ui";
import { computed } from "vue";
import { ADDED_SHAPES } from "../../../../core/arranging";
import { isOpen, shapeDefaults, type ShapeKind } from "../../../../core/shape";
import { shapeName } from "../../../../core/wording/nodes";
import { asOptions } from "../../../ui/options";
import SelectField from "../../../ui/SelectField.vue";
import ColourField from "./ColourField.vue";
import GradientStyle from "./GradientStyle.vue";
import SliderLine from "./SliderLine.vue";
import { useHandStyle } from "./use-style";

/** The outline of a shape, or of a picture’s frame, and how a shape is filled and lined. */
const { style, set, kinds } = useHandStyle();

const isPicture = computed(() => kinds.value.has("picture"));
const kind = computed((): ShapeKind =>
  isPicture.value ? (style.value.frame ?? "rectangle") : (style.value.shape ?? "rectangle"),
);
const FRAMES: ShapeKind[] = [
  "rectangle",
  "pill",
  "ellipse",
  "arch",
  "pebble",
  "blob",
  "leaf",
  "diamond",
  "polygon",
  "star",
  "burst",
];
const name = (shape: ShapeKind): string => {
  const plain = shapeName(shape);
  return plain.charAt(0).toUpperCase() + plain.slice(1);
};
const shapes = computed(() =>
  asOptions(isPicture.value ? FRAMES : (Object.keys(ADDED_SHAPES) as ShapeKind[]), name),
);

const putKind = (shape: ShapeKind): void => set(isPicture.value ? { frame: shape } : { shape });

const usual = computed(
  () => shapeDefaults[kind.value as keyof typeof shapeDefaults] ?? { points: 6, inner: 1 },
);
const sliders = computed(() => [
  ...(["rectangle", "speech"].includes(kind.value)
    ? [{ key: "corner", label: "Corners", usual: 0, min: 0, max: 200, step: 2 } as const]
    : []),
  ...(kind.value in shapeDefaults
    ? [
        {
          key: "points",
          label: "Points",
          usual: usual.value.points,
          min: 3,
          max: 40,
          step: 1,
        } as const,
      ]
    : []),
  ...(["star", "burst"].includes(kind.value)
    ? [
        {
          key: "inner",
          label: "Depth",
          usual: usual.value.inner,
          min: 0.1,
          max: 0.99,
          step: 0.01,
        } as const,
      ]
    : []),
]);

/** Dashes in widths of the stroke. */
const DASHES = { solid: [], dashed: [3, 2], dotted: [0, 2] } as const;
type Dash = keyof typeof DASHES;
const dashes = asOptions(
  Object.keys(DASHES) as Dash[],
  (dash) => dash.charAt(0).toUpperCase() + dash.slice(1),
);
const isLine = computed(() => isOpen(kind.value) || kinds.value.has("line"));
const stroke = computed(() => style.value.stroke);
const dash = computed((): Dash => {
  const first = stroke.value?.dash[0];
  return first === undefined ? "solid" : first === 0 ? "dotted" : "dashed";
});
function line(part: { colour?: string; width?: number; dash?: Dash }): void {
  const width = part.width ?? stroke.value?.width ?? 4;
  const kindOfDash = part.dash ?? dash.value;
  set({
    stroke: {
      colour: part.colour ?? stroke.value?.colour ?? style.value.colour ?? "headline",
      width,
      dash: DASHES[kindOfDash].map((times) => times * width),
      cap: kindOfDash === "dotted" ? "round" : (stroke.value?.cap ?? "butt"),
    },
  });
}
</script>

<template>
  <SelectField
    v-if="!kinds.has('line')"
    :label="isPicture ? 'Shape of the frame' : 'Shape'"
    size="small"
    :model-value="kind"
    :options="shapes"
    @update:model-value="$event && putKind($event)"
  />
  <SliderLine
    v-for="{ key, label, usual: value, ...range } in sliders"
    :key="key"
    :label="label"
    v-bind="range"
    :model-value="style[key] ?? value"
    @update:model-value="set({ [key]: $event })"
  />
  <template v-if="!isPicture">
    <NCheckbox
      v-if="!isLine"
      :checked="stroke !== undefined"
      @update:checked="$event ? line({}) : set({ stroke: undefined })"
    >
      Outline
    </NCheckbox>
    <template v-if="stroke || isLine">
      <ColourField
        label="Line"
        :model-value="stroke?.colour ?? style.colour"
        @update:model-value="$event && line({ colour: $event })"
      />
      <SliderLine
        label="Width"
        of="of the line"
        :min="1"
        :max="40"
        :step="1"
        :model-value="stroke?.width ?? 4"
        @update:model-value="line({ width: $event })"
      />
      <SelectField
        label="Kind of line"
        size="small"
        :model-value="dash"
        :options="dashes"
        @update:model-value="$event && line({ dash: $event })"
      />
    </template>
    <GradientStyle v-if="!isLine" />
  </template>
</template>
