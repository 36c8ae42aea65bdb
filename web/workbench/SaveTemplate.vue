<script setup lang="ts">
import { NButton, NCheckbox, NCheckboxGroup, NRadio, NRadioGroup } from "naive-ui";
import { computed, ref, shallowRef, watch } from "vue";
import { NewTemplate } from "../../core/api";
import { isText } from "../../core/piece";
import { LookName, moodOf, Purpose, type Template } from "../../core/templates";
import { api } from "../api/client";
import { usePiece } from "./piece";
import { useTemplates } from "../new-piece/templates";
import { useToasts } from "../common/toasts";
import DialogCard from "../common/DialogCard.vue";
import SelectField from "../ui/SelectField.vue";
import TextField from "../ui/TextField.vue";
import { errorsIn } from "../ui/field-errors";
import { asOptions } from "../ui/options";

/**
 * Saves the open piece as a template of the house; or, when it began with one, changes that one, which nothing else
 * ever does. The piece itself stays as it is.
 */
const shown = defineModel<boolean>("shown", { required: true });

const open = usePiece();
const toasts = useToasts();
const list = useTemplates();
const name = ref("");
const purpose = ref<Purpose>("announcement");
const look = ref<LookName>("photographic");
const note = ref("");
const fixed = ref<string[]>([]);
const failure = ref("");
/** The template of the house that the piece began with. */
const began = shallowRef<Template>();
const changing = ref(false);

watch(shown, async (now) => {
  if (!now) return;
  failure.value = "";
  tried.value = false;
  changing.value = false;
  began.value = undefined;
  ask();
  const { origin } = open.piece ?? {};
  if (origin?.kind !== "template") return;
  await list.load().catch(() => undefined);
  if (list.house.includes(origin.id))
    began.value = list.templates.find(({ id }) => id === origin.id);
});
watch(changing, ask);

/** What is asked for begins with what is known. */
function ask(): void {
  const known = changing.value ? began.value : undefined;
  name.value = known?.name ?? open.piece?.title ?? "";
  purpose.value = known?.purposes[0] ?? "announcement";
  look.value = known?.looks[0] ?? "photographic";
  note.value = known?.note ?? "";
  fixed.value = known?.fixed ?? [];
}

const read = computed(() =>
  NewTemplate.safeParse({
    piece: open.piece?.id,
    name: name.value,
    purposes: [purpose.value],
    looks: [look.value],
    mood: open.piece && open.brand ? moodOf(open.brand, open.piece.spread) : undefined,
    fixed: fixed.value,
    ...(note.value ? { note: note.value } : {}),
  }),
);
/** Marked from the first attempt to save on, until it is right. */
const tried = ref(false);
const errors = computed(() => (tried.value ? errorsIn(read.value) : {}));

async function save(): Promise<void> {
  tried.value = true;
  if (!read.value.success) return;
  const wanted = read.value.data;
  try {
    await open.save();
    const made =
      changing.value && began.value
        ? await api.changeTemplate(began.value.id, wanted)
        : await api.addTemplate(wanted);
    toasts.tell(
      changing.value
        ? `“${made.name}” was updated; existing pieces stay as they are.`
        : `“${made.name}” is now among your templates.`,
    );
    shown.value = false;
  } catch (error) {
    failure.value = (error as Error).message;
  }
}
</script>

<template>
  <DialogCard v-model:shown="shown" title="Save as a template" :width="520">
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <form class="asking" novalidate @submit.prevent="save">
      <fieldset v-if="began">
        <legend class="hidden-name">New or changed</legend>
        <NRadioGroup v-model:value="changing" name="changing"
          ><NRadio :value="false">As a new template</NRadio
          ><NRadio :value="true"
            >Update “{{ began.name }}”, which it started from</NRadio
          ></NRadioGroup
        >
      </fieldset>
      <label>Name<TextField v-model="name" :maxlength="80" :error="errors.name" /></label>
      <label
        >What it is for
        <SelectField v-model="purpose" label="What it is for" :options="asOptions(Purpose.options)"
      /></label>
      <label
        >What it looks like
        <SelectField
          v-model="look"
          label="What it looks like"
          :options="asOptions(LookName.options)"
      /></label>
      <label
        >Note for others<TextField v-model="note" :maxlength="500" :error="errors.note"
      /></label>
      <fieldset v-if="open.piece">
        <legend>Always keep these words</legend>
        <NCheckboxGroup v-model:value="fixed"
          ><template v-for="(filling, slot) in open.piece.message" :key="slot"
            ><NCheckbox v-if="isText(filling)" :value="slot" class="one">{{
              filling.text || slot
            }}</NCheckbox></template
          ></NCheckboxGroup
        >
      </fieldset>
      <NButton type="primary" attr-type="submit">
        {{ changing ? "Update the template" : "Save the template" }}
      </NButton>
    </form>
  </DialogCard>
</template>

<style scoped>
fieldset {
  display: grid;
  gap: 2px;
  padding: 0;
  border: 0;
}

.one {
  display: flex;
  gap: 8px;
}
</style>
