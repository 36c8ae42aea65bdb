<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, reactive, ref } from "vue";
import { OwnSize, ownPlacement, refuseUnpaintable, type Placement } from "../../../core/placements";
import { errorsIn, type FieldErrors } from "../../ui/field-errors";
import NumberField from "../../ui/NumberField.vue";
import SelectField from "../../ui/SelectField.vue";
import TextField from "../../ui/TextField.vue";

/** A size that no channel asks for: its sides and its margins. `taken` are the names that are in use. */
const props = defineProps<{ taken: ReadonlySet<string> }>();
const emit = defineEmits<{ add: [placement: Placement] }>();

const SIDES = ["top", "right", "bottom", "left"] as const;
const wish = reactive<OwnSize>({
  name: "",
  width: 1080,
  height: 1080,
  use: "post",
  margins: { top: 80, right: 80, bottom: 80, left: 80 },
});
const failure = ref("");
const errors = ref<FieldErrors>({});

const uses = Object.entries({
  post: "Post",
  story: "Story",
  ad: "Ad",
  cover: "Cover",
  thumbnail: "Thumbnail",
  profile: "Profile",
  poster: "Print",
} satisfies Record<OwnSize["use"], string>).map(([value, label]) => ({
  value: value as OwnSize["use"],
  label,
}));
const leavesNothing = computed(
  () =>
    wish.margins.left + wish.margins.right >= wish.width ||
    wish.margins.top + wish.margins.bottom >= wish.height,
);

function add(): void {
  const read = OwnSize.safeParse(wish);
  errors.value = errorsIn(read);
  if (!read.success) return;
  const placement = ownPlacement(read.data, props.taken);
  try {
    refuseUnpaintable(placement);
  } catch (error) {
    failure.value = (error as Error).message;
    return;
  }
  failure.value = "";
  emit("add", placement);
}
</script>

<template>
  <form class="own labelled" aria-label="A size of your own" novalidate @submit.prevent="add">
    <label class="name"
      >Name<TextField v-model="wish.name" :maxlength="80" placeholder="Booth screen"
    /></label>
    <label>Width, px<NumberField v-model="wish.width" :error="errors.width" /></label>
    <label>Height, px<NumberField v-model="wish.height" :error="errors.height" /></label>
    <label>Use <SelectField v-model="wish.use" label="Use" :options="uses" /></label>
    <label v-for="side in SIDES" :key="side">
      Margin {{ side }}
      <NumberField v-model="wish.margins[side]" :error="errors[`margins.${side}`]" />
    </label>
    <NButton attr-type="submit">Add this size</NButton>
    <p v-if="failure" role="alert" class="note must">{{ failure }}</p>
    <p v-else-if="leavesNothing" class="note must">
      These margins leave no room for words; the picture alone will be there.
    </p>
  </form>
</template>

<style scoped>
.own {
  display: grid;
  flex: none;
  grid-template-columns: 2fr repeat(3, 1fr);
  gap: 8px 12px;
  align-items: start;
  padding-top: 12px;
}

.note {
  grid-column: 1 / -1;
}

.n-button {
  grid-column: 4;
  align-self: end;
}

.must {
  color: var(--berry);
  font-size: 13px;
}
</style>
