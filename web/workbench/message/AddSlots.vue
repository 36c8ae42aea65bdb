<script setup lang="ts">
import { Plus } from "@lucide/vue";
import { NButton, NSelect, NSwitch } from "naive-ui";
import { computed, ref, useTemplateRef } from "vue";
import { LANGUAGES, languageName } from "../../../core/language/names";
import { RULING_SLOTS, slotHints, slotName } from "../../../core/message";
import { isPicture, type Filling } from "../../../core/piece";
import { useLibrary } from "../../common/library";
import { usePiece } from "../piece";
import { useToasts } from "../../common/toasts";

/** What a message does not have yet, each added with a press: words by their slot, and a picture. */
const emit = defineEmits<{ added: [slot: string] }>();
const open = usePiece();
const library = useLibrary();
const toasts = useToasts();
const chooser = useTemplateRef("chooser");
const busy = ref(false);

const message = computed(() => open.piece?.message ?? {});
/** One ruling slot is enough, so others are not offered beside it. */
const missing = computed(() => {
  const rules = RULING_SLOTS.some((slot) => slot in message.value);
  return Object.keys(slotHints).filter(
    (slot) => !(slot in message.value) && !(rules && RULING_SLOTS.includes(slot)),
  );
});
const hasPicture = computed(() => Object.values(message.value).some(isPicture));

/** A new slot comes after the others. */
const put = (slot: string, filling: Filling): void =>
  open.set(["message", slot], { value: filling, after: Object.keys(message.value).at(-1) ?? null });

function add(slot: string): void {
  put(slot, { text: "" });
  emit("added", slot);
}

const without = computed(() => open.piece?.without ?? []);
const hasLogo = computed(() => !without.value.includes("logo"));

function show(logo: boolean): void {
  const rest = without.value.filter((one) => one !== "logo");
  const to = logo ? rest : [...rest, "logo"];
  open.set(["without"], to.length > 0 ? to : null);
}

const languages = LANGUAGES.map((value) => ({ value, label: languageName(value) })).sort((a, b) =>
  a.label.localeCompare(b.label),
);

const speak = (to: string): void => open.set(["language"], to);

function freeSlot(): string {
  for (let i = 1; ; i++) {
    const slot = i === 1 ? "picture" : `picture-${i}`;
    if (!(slot in message.value)) return slot;
  }
}

async function addPictures(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  busy.value = true;
  try {
    for (const file of input.files ?? []) {
      const { id } = await library.addPicture(file, open.piece?.brand);
      put(freeSlot(), { picture: id });
    }
  } catch (error) {
    toasts.fail(error);
  } finally {
    busy.value = false;
    input.value = "";
  }
}
</script>

<template>
  <section class="add" aria-label="Add to the message">
    <p class="quiet small">Add</p>
    <div class="slots">
      <NButton v-for="slot in missing" :key="slot" size="tiny" @click="add(slot)">
        <template #icon><Plus aria-hidden="true" /></template>
        {{ slotName(slot) }}
      </NButton>
      <NButton size="tiny" :disabled="busy" @click="chooser?.click()">
        <template #icon><Plus aria-hidden="true" /></template>
        {{ hasPicture ? "Another picture" : "Picture" }}
      </NButton>
    </div>
    <label class="logo">
      <NSwitch size="small" :value="hasLogo" aria-label="The logo is shown" @update:value="show" />
      The logo is shown
    </label>
    <label class="language">
      <span>Language</span>
      <NSelect
        size="small"
        filterable
        :value="open.piece?.language ?? null"
        :options="languages"
        placeholder="English, unless it is said"
        aria-label="Language of the message"
        @update:value="speak"
      />
    </label>
    <input
      ref="chooser"
      class="hidden-name"
      type="file"
      accept="image/*"
      multiple
      tabindex="-1"
      aria-label="Add a picture to the message"
      @change="addPictures"
    />
  </section>
</template>

<style scoped>
.add {
  display: grid;
  gap: 8px;
  padding-top: 14px;
  margin-top: 12px;
  border-top: 1px solid var(--line);
}

.slots {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.language {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px;
  align-items: center;
  font-size: 13px;
}

.logo {
  display: flex;
  gap: 8px;
  align-items: center;
  padding-top: 8px;
  font-size: 13px;
}
</style>
