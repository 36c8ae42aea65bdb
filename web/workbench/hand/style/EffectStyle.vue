<script setup lang="ts">
import { NCheckbox } from "naive-ui";
import { computed } from "vue";
import type { Shadow } from "../../../../core/piece";
import SelectField from "../../../ui/SelectField.vue";
import ColourField from "./ColourField.vue";
import SliderLine from "./SliderLine.vue";
import { useHandStyle } from "./use-style";

/** What anything can have: how strong it is, how it lies on what is behind it, and a shadow. */
const { style, set, isText } = useHandStyle();

const BLENDS = [
  { value: "normal", label: "Lies on top" },
  { value: "multiply", label: "Darkens what is behind" },
  { value: "screen", label: "Lightens what is behind" },
] as const;

/** A shadow of words is counted in their size, any other in lead pixels. */
const scale = computed(() => (isText.value ? 0.005 : 1));
const shadow = computed(() => style.value.shadow);
const begun = (): Shadow => ({
  colour: "#000000",
  x: 0,
  y: 8 * scale.value,
  blur: 24 * scale.value,
  opacity: 0.35,
});
const put = (part: Partial<Shadow>): void =>
  set({ shadow: { ...begun(), ...shadow.value, ...part } });
const LENGTHS = [
  { key: "x", label: "To the right", min: -60, max: 60 },
  { key: "y", label: "Down", min: -60, max: 60 },
  { key: "blur", label: "Softness", min: 0, max: 120 },
] as const;
</script>

<template>
  <SliderLine
    label="Opacity"
    :min="0.05"
    :max="1"
    :step="0.05"
    :model-value="style.opacity ?? 1"
    @update:model-value="set({ opacity: $event })"
  />
  <details>
    <summary>Shadow and blending</summary>
    <div class="more">
      <SelectField
        label="Blending"
        size="small"
        :model-value="style.blend ?? 'normal'"
        :options="BLENDS"
        @update:model-value="set({ blend: $event === 'normal' ? undefined : $event })"
      />
      <NCheckbox
        :checked="shadow !== undefined"
        @update:checked="set({ shadow: $event ? begun() : undefined })"
      >
        Shadow
      </NCheckbox>
      <template v-if="shadow">
        <ColourField
          label="Colour"
          :model-value="shadow.colour"
          @update:model-value="$event && put({ colour: $event })"
        />
        <SliderLine
          v-for="{ key, label, min, max } in LENGTHS"
          :key="key"
          :label="label"
          of="of the shadow"
          :min="min * scale"
          :max="max * scale"
          :step="scale"
          :model-value="shadow[key]"
          @update:model-value="put({ [key]: $event })"
        />
        <SliderLine
          label="Strength"
          of="of the shadow"
          :min="0.05"
          :max="1"
          :step="0.05"
          :model-value="shadow.opacity"
          @update:model-value="put({ opacity: $event })"
        />
      </template>
    </div>
  </details>
</template>
