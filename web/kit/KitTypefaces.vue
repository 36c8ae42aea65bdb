<script setup lang="ts">
import { computed, ref } from "vue";
import type { Brand, Typeface } from "../../core/brand";
import type { TypefaceChoice } from "../../core/kit";
import { typefaceOf } from "../../core/kit";
import { families } from "../../core/shelf";
import { api } from "../api/client";
import TypefaceShelf from "./TypefaceShelf.vue";
import { sampleStyle, useTypefaces } from "./use-typeface";

/** A kit's typefaces by role, to be changed: from the shelf by feeling, or from a file of one's own. */
const typefaces = defineModel<Brand["typefaces"]>({ required: true });
defineProps<{ sample: string }>();

type Role = keyof Brand["typefaces"];
const ROLES: { role: Role; name: string }[] = [
  { role: "headline", name: "Headlines" },
  { role: "text", name: "Text" },
  { role: "accent", name: "Accents" },
];

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

async function upload(role: Role, event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const [file] = input.files ?? [];
  if (!file) return;
  failure.value = "";
  try {
    const { id, faces } = await api.addFont(file);
    choose(role, { file: id, family: faces[0]?.family ?? file.name });
  } catch (error) {
    failure.value = (error as Error).message;
  }
  input.value = "";
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
const value = (event: Event): string => (event.target as HTMLInputElement).value;
const number = (event: Event): number | undefined => {
  const typed = (event.target as HTMLInputElement).valueAsNumber;
  return Number.isFinite(typed) ? typed : undefined;
};
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
        <button
          class="button plain"
          :aria-expanded="choosing === role"
          @click="choosing = choosing === role ? undefined : role"
        >
          {{ choosing === role ? "Done" : "Choose another" }}
        </button>
        <label class="button plain file">
          From a file
          <input
            class="hidden-name"
            type="file"
            accept=".ttf,.otf,.woff,.woff2,.ttc,.otc"
            :aria-label="`Typeface for ${name.toLowerCase()} from a file`"
            @change="upload(role, $event)"
          />
        </label>
        <button
          v-if="role === 'accent' && typefaces.accent"
          class="button plain"
          @click="withoutAccent"
        >
          Take out
        </button>
      </div>
      <template v-if="typefaces[role]">
        <p class="sample" :class="role" :style="sampleStyle(typefaces[role]!)">{{ sample }}</p>
        <div class="settings labelled">
          <label>
            Capitals
            <select
              class="field"
              :value="typefaces[role]!.case"
              :aria-label="`Capitals of ${name.toLowerCase()}`"
              @change="set(role, { case: value($event) === 'upper' ? 'upper' : 'as-typed' })"
            >
              <option value="as-typed">as typed</option>
              <option value="upper">all capitals</option>
            </select>
          </label>
          <label>
            Tracking, em
            <input
              class="field number"
              type="number"
              min="-0.2"
              max="0.5"
              step="0.005"
              :value="typefaces[role]!.tracking"
              :aria-label="`Tracking of ${name.toLowerCase()}`"
              @change="set(role, { tracking: number($event) ?? 0 })"
            />
          </label>
          <label>
            Leading
            <input
              class="field number"
              type="number"
              min="0.6"
              max="2.5"
              step="0.01"
              placeholder="usual"
              :value="typefaces[role]!.leading"
              :aria-label="`Leading of ${name.toLowerCase()}`"
              @change="set(role, { leading: number($event) })"
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

.file {
  position: relative;
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
