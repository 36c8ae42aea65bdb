<script
  setup
  lang="ts"
  generic="Area extends Box & { keeps?: string[]; shape?: 'rect' | 'circle' }"
>
import type { Box } from "../../../core/geometry";

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
const numberOf = (event: Event): number => Number((event.target as HTMLInputElement).value) || 0;
const textOf = (event: Event): string => (event.target as HTMLInputElement).value;
const named = (value: unknown): Partial<Area> => ({ [props.label]: value }) as Partial<Area>;
</script>

<template>
  <fieldset class="areas">
    <legend>
      {{ title }}
      <button type="button" class="button plain" @click="add">Add one</button>
    </legend>
    <div v-for="(area, index) in areas" :key="index" class="area">
      <input
        class="field"
        :aria-label="`${title}, ${index + 1}, name`"
        :value="area[label]"
        @input="change(index, named(textOf($event)))"
      />
      <select
        v-if="area.shape"
        class="field"
        :aria-label="`${title}, ${index + 1}, shape`"
        :value="area.shape"
        @change="change(index, { shape: textOf($event) } as Partial<Area>)"
      >
        <option value="rect">Rectangle</option>
        <option value="circle">Circle</option>
      </select>
      <button
        type="button"
        class="button plain"
        :aria-label="`Remove ${area[label]}`"
        @click="areas = areas.filter((_, i) => i !== index)"
      >
        Remove
      </button>
      <div class="edges">
        <label v-for="edge in EDGES" :key="edge">
          {{ edge }}
          <input
            class="field"
            type="number"
            :value="area[edge]"
            @input="change(index, { [edge]: numberOf($event) } as Partial<Area>)"
          />
        </label>
      </div>
      <div v-if="keeps" class="keeps">
        <span>keeps</span>
        <label v-for="role in keeps" :key="role">
          <input
            type="checkbox"
            :checked="area.keeps?.includes(role)"
            @change="change(index, { keeps: toggled(area.keeps, role) } as Partial<Area>)"
          />
          {{ role }}
        </label>
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
