<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref } from "vue";
import { useRouter } from "vue-router";
import type { Brand } from "../../core/brand";
import { api } from "../api/client";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";
import { counted } from "../common/counted";
import DialogCard from "../common/DialogCard.vue";
import SelectField from "../ui/SelectField.vue";
import TextField from "../ui/TextField.vue";
import { byName } from "../ui/options";

/** Locking a kit with a key, and deleting it; what has it gets another first. */
const props = defineProps<{ brand: Brand; pieces: number }>();

const library = useLibrary();
const toasts = useToasts();
const router = useRouter();

const asked = ref<"lock" | "unlock" | "delete">();
const shown = computed({
  get: () => asked.value !== undefined,
  set: (to) => {
    if (!to) asked.value = undefined;
  },
});
const key = ref("");
const instead = ref("");
const failure = ref("");

const locked = computed(() => library.lockedBrands.has(props.brand.id));
const others = computed(() => library.brands.filter(({ id }) => id !== props.brand.id));
const inUse = computed(
  () => props.pieces > 0 || library.crates.some((crate) => crate.brand === props.brand.id),
);
const titles = { lock: "Lock the kit", unlock: "Unlock the kit", delete: "Delete the kit" };

function ask(what: "lock" | "unlock" | "delete"): void {
  asked.value = what;
  key.value = failure.value = "";
  instead.value = others.value[0]?.id ?? "";
}

async function act(): Promise<void> {
  const what = asked.value!;
  try {
    if (what === "delete") await remove();
    else {
      await api.lockBrand(props.brand.id, what, key.value);
      await library.load();
    }
    asked.value = undefined;
  } catch (error) {
    failure.value = (error as Error).message;
  }
}

async function remove(): Promise<void> {
  const to = inUse.value ? instead.value : undefined;
  const { pieces } = await api.removeBrand(props.brand.id, to, key.value || undefined);
  const rebranded =
    pieces.length > 0 ? ` ${counted(pieces.length, "piece")} got another brand.` : "";
  toasts.tell(`${props.brand.name} was deleted; it can be brought back for 30 days.${rebranded}`);
  await router.push({ name: "crates" });
}
</script>

<template>
  <section aria-label="Lock and delete" class="upkeep">
    <h2>Lock and delete</h2>
    <NButton @click="ask(locked ? 'unlock' : 'lock')">
      {{ locked ? "Unlock the kit" : "Lock the kit" }}
    </NButton>
    <NButton @click="ask('delete')">Delete the kit</NButton>
    <DialogCard
      v-model:shown="shown"
      :title="titles[asked ?? 'lock']"
      :width="420"
      close="Leave it"
    >
      <form class="asking" @submit.prevent="act">
        <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
        <p v-if="asked === 'lock'" class="quiet">
          After this, only people with the key can change or delete it. Everyone can still use it.
        </p>
        <label v-if="asked !== 'delete' || locked">
          Key
          <TextField v-model="key" kind="password" />
        </label>
        <template v-if="asked === 'delete'">
          <label v-if="inUse && others.length > 0">
            Move its {{ counted(pieces, "piece") }} to
            <SelectField v-model="instead" label="Brand of its pieces" :options="byName(others)" />
          </label>
          <p v-else-if="inUse">
            There is no other brand for its pieces. Make another kit first, or delete the pieces.
          </p>
          <p class="quiet">The kit and its versions go; what was delivered stays.</p>
        </template>
        <NButton
          type="primary"
          attr-type="submit"
          :disabled="asked === 'delete' && inUse && others.length === 0"
        >
          {{ titles[asked ?? "lock"] }}
        </NButton>
      </form>
    </DialogCard>
  </section>
</template>

<style scoped>
.upkeep {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.upkeep h2 {
  flex-basis: 100%;
}

form p {
  margin: 0;
}
</style>
