<script
  setup
  lang="ts"
  generic="Area extends Box & { keeps?: string[]; shape?: 'rect' | 'circle' }"
>
import { NButton, NCheckbox } from "naive-ui";
import type { Box } from "../../../core/geometry";
import NumberField from "../../ui/NumberField.vue";
import SelectField from "../../ui/SelectField.vue";
import TextField from "../../ui/TextField.vue";

/** Parts of a frame that a channel covers or shows alone, each with its name and its box. */
const areas = defineModel<Area[]>({ required: true });
const props = defineProps<{
  title: string;
  frame: { width: number; height: number };
  /** What a new one has beside its box. */
  fresh: Omit<Area, keyof Box>;
  /** The field that names it. */
  label: keyof Area & string;
  /** The roles that may be kept, where roles are. */
  keeps?: readonly string[];
}>();

const SHAPES = [
  { value: "rect", label: "Rectangle" },
  { value: "circle", label: "Circle" },
] as const;
const EDGES = ["x", "y", "width", "height"] as const;

function add(): void {
  const { width, height } = props.frame;
  const box = { x: 0, y: 0, width, height: Math.round(height / 8) };
  areas.value = [...areas.value, { ...box, ...props.fresh } as Area];
}

function change(index: number, part: Partial<Area>): void {
  areas.value = areas.value.map((area, i) => (i === index ? { ...area, ...part } : area));
}

const toggled = (list: readonly string[] = [], role: string): string[] =>
  list.includes(role) ? list.filter((one) => one !== role) : [...list, role];
const named = (value: unknown): Partial<Area> => ({ [props.label]: value }) as Partial<Area>;
</script>

<template>
  <fieldset class="areas">
    <legend>
      {{ title }}
      <NButton quaternary @click="add">Add one</NButton>
    </legend>
    <div v-for="(area, index) in areas" :key="index" class="area">
      <TextField
        class="field"
        size="small"
        :label="`${title}, ${index + 1}, name`"
        :model-value="String(area[label] ?? '')"
        @update:model-value="change(index, named($event ?? ''))"
      />
      <SelectField
        v-if="area.shape"
        class="field"
        size="small"
        :label="`${title}, ${index + 1}, shape`"
        :model-value="area.shape"
        :options="SHAPES"
        @update:model-value="change(index, { shape: $event } as Partial<Area>)"
      />
      <NButton
        quaternary
        :aria-label="`Remove ${area[label]}`"
        @click="areas = areas.filter((_, i) => i !== index)"
      >
        Remove
      </NButton>
      <div class="edges">
        <label v-for="edge in EDGES" :key="edge">
          {{ edge }}
          <NumberField
            class="field"
            size="small"
            :model-value="area[edge]"
            @update:model-value="change(index, { [edge]: $event ?? 0 } as Partial<Area>)"
          />
        </label>
      </div>
      <div v-if="keeps" class="keeps">
        <span>keeps</span>
        <NCheckbox
          v-for="role in keeps"
          :key="role"
          size="small"
          :checked="area.keeps?.includes(role) ?? false"
          @update:checked="change(index, { keeps: toggled(area.keeps, role) } as Partial<Area>)"
          >{{ role }}</NCheckbox
        >
      </div>
    </div>
  </fieldset>
</template>

<style scoped>
.areas {
  display: grid;
  gap: 10px;
  padding: 0;
  margin: 0;
  border: 0;
}

legend {
  display: flex;
  align-items: center;
  justify-content: space-between;
  width: 100%;
  padding: 0;
  color: var(--quiet);
  font-size: 12.5px;
}

.area {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  padding-left: 10px;
  border-left: 2px solid var(--line);
}

.area > .field {
  flex: 1;
  min-width: 90px;
}

.edges {
  display: grid;
  flex-basis: 100%;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px;
}

.areas .keeps {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  color: var(--quiet);
  font-size: 12.5px;
}

.areas .keeps label {
  display: flex;
  gap: 4px;
  align-items: center;
}
</style>
