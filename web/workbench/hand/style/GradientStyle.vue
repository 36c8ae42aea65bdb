<script setup lang="ts">
import { NButton, NCheckbox } from "naive-ui";
import { computed } from "vue";
import type { Gradient } from "../../../../core/piece";
import SelectField from "../../../ui/SelectField.vue";
import SliderField from "../../../ui/SliderField.vue";
import ColourField from "./ColourField.vue";
import SliderLine from "./SliderLine.vue";
import { useHandStyle } from "./use-style";

/** From one colour to others, along a line or from the middle outwards. */
const { style, set } = useHandStyle();
const gradient = computed(() => style.value.gradient);
const KINDS = [
  { value: "linear", label: "Along a line" },
  { value: "radial", label: "From the middle" },
] as const;
const MOST = 4;

const begun = (): Gradient => ({
  kind: "linear",
  angle: 90,
  stops: [
    { at: 0, colour: style.value.colour ?? "action", opacity: 1 },
    { at: 1, colour: "backdrop", opacity: 1 },
  ],
});
const put = (part: Partial<Gradient>): void => {
  if (gradient.value) set({ gradient: { ...gradient.value, ...part } });
};
function putStop(index: number, part: Partial<Gradient["stops"][number]>): void {
  put({
    stops: gradient.value!.stops.map((stop, at) => (at === index ? { ...stop, ...part } : stop)),
  });
}
function add(): void {
  const { stops } = gradient.value!;
  put({ stops: [...stops, { ...stops.at(-1)!, at: 1 }] });
}
const takeOut = (index: number): void => put({ stops: gradient.value!.stops.toSpliced(index, 1) });
</script>

<template>
  <NCheckbox
    :checked="gradient !== undefined"
    @update:checked="set({ gradient: $event ? begun() : undefined })"
  >
    Gradient
  </NCheckbox>
  <template v-if="gradient">
    <SelectField
      label="Kind of gradient"
      size="small"
      :model-value="gradient.kind"
      :options="KINDS"
      @update:model-value="$event && put({ kind: $event })"
    />
    <SliderLine
      v-if="gradient.kind === 'linear'"
      label="Direction"
      of="of the gradient, in degrees"
      :min="0"
      :max="360"
      :step="5"
      :model-value="gradient.angle"
      @update:model-value="put({ angle: $event })"
    />
    <div v-for="(stop, index) in gradient.stops" :key="index" class="stop">
      <ColourField
        :label="`Colour ${index + 1}`"
        :model-value="stop.colour"
        @update:model-value="$event && putStop(index, { colour: $event })"
      />
      <label class="line">
        <span class="quiet small">At, strength</span>
        <span class="pair">
          <SliderField
            :label="`Where colour ${index + 1} is`"
            :min="0"
            :max="1"
            :step="0.05"
            :model-value="stop.at"
            @update:model-value="putStop(index, { at: $event })"
          />
          <SliderField
            :label="`How strong colour ${index + 1} is`"
            :min="0"
            :max="1"
            :step="0.05"
            :model-value="stop.opacity"
            @update:model-value="putStop(index, { opacity: $event })"
          />
        </span>
      </label>
      <NButton v-if="gradient.stops.length > 2" size="tiny" quaternary @click="takeOut(index)">
        Take out colour {{ index + 1 }}
      </NButton>
    </div>
    <NButton v-if="gradient.stops.length < MOST" size="small" class="add" @click="add">
      Another colour
    </NButton>
  </template>
</template>

<style scoped>
.stop {
  display: grid;
  gap: 4px;
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}

.add {
  justify-self: start;
}
</style>
