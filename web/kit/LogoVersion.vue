<script setup lang="ts">
import { X } from "@lucide/vue";
import { NButton } from "naive-ui";
import type { BrandColour, Logo } from "../../core/brand";
import type { ListedPicture } from "../../core/files";
import { logoName } from "../../core/wording/kits";
import NumberField from "../ui/NumberField.vue";
import SelectField from "../ui/SelectField.vue";
import LogoPlate from "./LogoPlate.vue";

/** One version of a logo, to be changed, and what can be made from it. `hadGround`: its flat ground was taken away. */
const logo = defineModel<Logo>({ required: true });
defineProps<{
  colours: BrandColour[];
  picture: ListedPicture | undefined;
  hadGround: boolean;
  busy: boolean;
}>();
const emit = defineEmits<{
  giveGround: [];
  takeGround: [];
  oneColour: [ground: "light" | "dark"];
  remove: [];
}>();

const set = (part: Partial<Logo>): void => {
  logo.value = { ...logo.value, ...part };
};

const KINDS = [
  { value: "full", label: "full logo" },
  { value: "mark", label: "mark alone" },
] as const;
const INKS = [
  { value: "own", label: "its own" },
  { value: "one-colour", label: "one colour" },
] as const;
const GROUNDS = [
  { value: "light", label: "light grounds" },
  { value: "dark", label: "dark grounds" },
  { value: "any", label: "any ground" },
] as const;
</script>

<template>
  <div class="logo">
    <LogoPlate :logo="logo" :colours="colours" :picture="picture" class="plate" />
    <div class="settings labelled">
      <label>
        Kind
        <SelectField
          class="field"
          label="Kind"
          :model-value="logo.kind"
          :options="KINDS"
          @update:model-value="set({ kind: $event ?? 'full' })"
        />
      </label>
      <label>
        Colours
        <SelectField
          class="field"
          label="Colours"
          :model-value="logo.ink"
          :options="INKS"
          @update:model-value="set({ ink: $event ?? 'own' })"
        />
      </label>
      <label>
        Stands on
        <SelectField
          class="field"
          label="Stands on"
          :model-value="logo.ground"
          :options="GROUNDS"
          @update:model-value="set({ ground: $event ?? 'any' })"
        />
      </label>
      <label>
        Clear space, % of height
        <NumberField
          class="field"
          :min="0"
          :max="100"
          :step="5"
          :model-value="Math.round(100 * logo.clear)"
          @update:model-value="set({ clear: ($event ?? 0) / 100 })"
        />
      </label>
      <label>
        Least width, px
        <NumberField
          class="field"
          :min="8"
          :max="400"
          :model-value="logo.leastWidth"
          @update:model-value="set({ leastWidth: $event ?? 16 })"
        />
      </label>
      <div class="makes">
        <NButton v-if="hadGround" size="small" :disabled="busy" @click="emit('giveGround')">
          Restore its background
        </NButton>
        <NButton
          v-else-if="picture?.art?.ground"
          size="small"
          :disabled="busy"
          @click="emit('takeGround')"
        >
          Remove its background
        </NButton>
        <NButton size="small" :disabled="busy" @click="emit('oneColour', 'light')">
          One colour, dark
        </NButton>
        <NButton size="small" :disabled="busy" @click="emit('oneColour', 'dark')">
          One colour, light
        </NButton>
      </div>
    </div>
    <NButton
      quaternary
      class="remove"
      :aria-label="`Take out the ${logoName(logo)}`"
      @click="emit('remove')"
    >
      <X :size="16" aria-hidden="true" />
    </NButton>
  </div>
</template>

<style scoped>
.logo {
  display: grid;
  grid-template-columns: 200px 1fr auto;
  gap: 16px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
}

.settings {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-content: start;
}

.settings .field {
  width: 128px;
}

.makes {
  display: flex;
  flex-basis: 100%;
  flex-wrap: wrap;
  gap: 4px;
}

.remove {
  align-self: start;
}

.plate {
  height: 116px;
}
</style>
