<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import type { Brand, Typeface } from "../../core/brand";
import type { TypefaceChoice } from "../../core/kit";
import { typefaceOf } from "../../core/kit";
import { LEADING, TRACKING } from "../../core/rules";
import { families } from "../../core/shelf";
import { api } from "../api/client";
import TypefaceShelf from "./TypefaceShelf.vue";
import { sampleStyle, useTypefaces } from "./use-typeface";
import FileButton from "../ui/FileButton.vue";
import NumberField from "../ui/NumberField.vue";
import SelectField from "../ui/SelectField.vue";

/** A kit's typefaces by role, to be changed: from the shelf by feeling, or from a file of one's own. */
const typefaces = defineModel<Brand["typefaces"]>({ required: true });
defineProps<{ sample: string }>();

type Role = keyof Brand["typefaces"];
const ROLES: { role: Role; name: string }[] = [
  { role: "headline", name: "Headlines" },
  { role: "text", name: "Text" },
  { role: "accent", name: "Accents" },
];

const CASES = [
  { value: "as-typed", label: "as typed" },
  { value: "upper", label: "all capitals" },
] as const;

/** The role that a typeface is being chosen for. */
const choosing = ref<Role>();
const failure = ref("");

const set = (role: Role, part: Partial<Typeface>): void => {
  const before = typefaces.value[role];
  if (before) typefaces.value = { ...typefaces.value, [role]: { ...before, ...part } };
};

/** Another family keeps how the role is set: case, tracking and leading belong to the role. */
function choose(role: Role, choice: TypefaceChoice): void {
  const typeface = typefaceOf(choice);
  if (!typeface) return;
  const { family, faces } = typeface;
  const before = typefaces.value[role] ?? typeface;
  typefaces.value = { ...typefaces.value, [role]: { ...before, family, faces } };
}

async function upload(role: Role, file: File | undefined): Promise<void> {
  if (!file) return;
  failure.value = "";
  try {
    const { id, faces } = await api.addFont(file);
    choose(role, { file: id, family: faces[0]?.family ?? file.name });
  } catch (error) {
    failure.value = (error as Error).message;
  }
}

function withoutAccent(): void {
  const { accent: _accent, ...rest } = typefaces.value;
  typefaces.value = rest;
}

const shelfId = computed({
  get: () =>
    families.find(({ family }) => family === typefaces.value[choosing.value ?? "text"]?.family)
      ?.id ?? "",
  set: (id) => choosing.value && choose(choosing.value, { shelf: id }),
});

useTypefaces(() =>
  Object.values(typefaces.value).map((typeface: Typeface) => typeface.faces[0]!.file),
);
</script>

<template>
  <section aria-label="Typefaces">
    <h2>Typefaces</h2>
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <div v-for="{ role, name } in ROLES" :key="role" class="role">
      <div class="head">
        <b>{{ name }}</b>
        <span class="quiet small">{{ typefaces[role]?.family ?? "as the headlines" }}</span>
        <span class="space"></span>
        <NButton
          quaternary
          :aria-expanded="choosing === role"
          @click="choosing = choosing === role ? undefined : role"
        >
          {{ choosing === role ? "Done" : "Choose another" }}
        </NButton>
        <FileButton
          plain
          :label="`Typeface for ${name.toLowerCase()} from a file`"
          accept=".ttf,.otf,.woff,.woff2,.ttc,.otc"
          @open="upload(role, $event[0])"
          ><template #text>From a file</template></FileButton
        >
        <NButton v-if="role === 'accent' && typefaces.accent" quaternary @click="withoutAccent">
          Take out
        </NButton>
      </div>
      <template v-if="typefaces[role]">
        <p class="sample" :class="role" :style="sampleStyle(typefaces[role]!)">{{ sample }}</p>
        <div class="settings labelled">
          <label>
            Capitals
            <SelectField
              class="field"
              :label="`Capitals of ${name.toLowerCase()}`"
              :model-value="typefaces[role]!.case"
              :options="CASES"
              @update:model-value="set(role, { case: $event ?? 'as-typed' })"
            />
          </label>
          <label>
            Tracking, em
            <NumberField
              class="field"
              :label="`Tracking of ${name.toLowerCase()}`"
              :min="TRACKING.least"
              :max="TRACKING.most"
              :step="0.005"
              :model-value="typefaces[role]!.tracking"
              @update:model-value="set(role, { tracking: $event ?? 0 })"
            />
          </label>
          <label>
            Leading
            <NumberField
              class="field"
              :label="`Leading of ${name.toLowerCase()}`"
              :min="LEADING.least"
              :max="LEADING.most"
              :step="0.01"
              placeholder="usual"
              :model-value="typefaces[role]!.leading"
              @update:model-value="set(role, { leading: $event })"
            />
          </label>
        </div>
      </template>
      <TypefaceShelf v-if="choosing === role" v-model="shelfId" :label="name" :sample="sample" />
    </div>
  </section>
</template>

<style scoped>
.role {
  padding: 8px 0 16px;
  border-top: 1px solid var(--line);
}

.head {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 36px;
}

.space {
  flex: 1;
}

.sample {
  overflow: hidden;
  padding-bottom: 6px;
  margin: 4px 0 8px;
  font-size: 34px;
  line-height: 1.15;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.sample.text {
  font-size: 20px;
}

.settings {
  display: flex;
  gap: 16px;
}

.settings .field {
  width: 116px;
}
</style>
