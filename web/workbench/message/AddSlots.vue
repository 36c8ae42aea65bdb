<script setup lang="ts">
import { Plus } from "@lucide/vue";
import { NButton, NSwitch } from "naive-ui";
import { computed, ref } from "vue";
import { LANGUAGES, languageName } from "../../../core/language/names";
import { RULING_SLOTS, slotHints, slotName } from "../../../core/message";
import { isPicture, type Filling } from "../../../core/piece";
import { useLibrary } from "../../common/library";
import { asStrip, isStrip, withNewSlide } from "../../../core/strip";
import { usePiece } from "../piece";
import { useToasts } from "../../common/toasts";
import FileButton from "../../ui/FileButton.vue";
import SelectField from "../../ui/SelectField.vue";
import { asOptions } from "../../ui/options";

/** What a message does not have yet, each added with a press: words by their slot, and a picture. */
const emit = defineEmits<{ added: [slot: string] }>();
const open = usePiece();
const library = useLibrary();
const toasts = useToasts();
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

const isSlides = computed(() => open.whole !== undefined && isStrip(open.whole));
/** The piece is the first slide, and the second is there to be filled. */
function makeSlides(): void {
  if (!open.whole) return;
  open.becomeWhole(withNewSlide(asStrip(open.whole), 0, false));
  open.slide = 1;
}

const languages = asOptions(LANGUAGES, languageName).sort((a, b) => a.label.localeCompare(b.label));

const speak = (to: string): void => open.set(["language"], to);

function freeSlot(): string {
  for (let i = 1; ; i++) {
    const slot = i === 1 ? "picture" : `picture-${i}`;
    if (!(slot in message.value)) return slot;
  }
}

async function addPictures(files: File[]): Promise<void> {
  busy.value = true;
  try {
    for (const file of files) {
      const { id } = await library.addPicture(file, open.piece?.brand);
      put(freeSlot(), { picture: id });
    }
  } catch (error) {
    toasts.fail(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <section class="add" aria-label="Add to the message">
    <p class="quiet small">Add</p>
    <div class="slots">
      <NButton v-for="slot in missing" :key="slot" v-memo="[slot]" size="tiny" @click="add(slot)">
        <template #icon><Plus aria-hidden="true" /></template>
        {{ slotName(slot) }}
      </NButton>
      <FileButton
        label="Add a picture to the message"
        accept="image/*"
        multiple
        size="tiny"
        :disabled="busy"
        @open="addPictures"
        ><template #text
          ><Plus :size="12" aria-hidden="true" />
          {{ hasPicture ? "Another picture" : "Picture" }}</template
        ></FileButton
      >
    </div>
    <NButton v-if="!isSlides" class="slides" size="small" @click="makeSlides">
      Go on over several slides
    </NButton>
    <label v-if="open.slide === 0" class="logo">
      <NSwitch size="small" :value="hasLogo" aria-label="Show the logo" @update:value="show" />
      Show the logo
    </label>
    <label class="language">
      <span>Language</span>
      <SelectField
        size="small"
        filterable
        label="Language of the message"
        :model-value="open.piece?.language"
        :options="languages"
        placeholder="English (default)"
        @update:model-value="speak($event ?? 'en')"
      />
    </label>
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

.slides {
  justify-self: start;
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
