<script setup lang="ts">
import { useEventListener } from "@vueuse/core";
import { NModal } from "naive-ui";
import { computed, nextTick, ref, useTemplateRef, watch } from "vue";
import { useLibrary } from "../common/library";
import { useTemplates } from "../new-piece/templates";
import TextField from "../ui/TextField.vue";
import { useFind } from "./find";
import { bestOf, type Found } from "./match";
import { useFinds } from "./use-finds";

/** Finds a piece, crate, kit, template, placement, place or action by a few letters; arrows and Enter choose. It is a div since the package keeps the focus in nothing else. */
const MOST = 9;

const find = useFind();
const library = useLibrary();
const templates = useTemplates();
const all = useFinds();
const typed = ref("");
const at = ref(0);
const field = useTemplateRef("field");
const found = computed(() => bestOf(all.value, typed.value, MOST));
const current = computed(() => found.value[at.value]);

watch(
  () => find.shown,
  async (shown) => {
    if (!shown) return;
    typed.value = "";
    at.value = 0;
    if (library.state !== "ready") void library.load();
    void templates.load().catch(() => undefined);
    await nextTick();
    field.value?.focus();
  },
);
watch(typed, () => (at.value = 0));

async function take(one: Found | undefined): Promise<void> {
  if (!one) return;
  find.shown = false;
  await one.go();
}

function byKey(event: KeyboardEvent): void {
  const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (by !== undefined && found.value.length > 0) {
    event.preventDefault();
    at.value = (at.value + by + found.value.length) % found.value.length;
  } else if (event.key === "Enter") {
    event.preventDefault();
    void take(current.value);
  }
}

useEventListener("keydown", (event: KeyboardEvent) => {
  const { target, key, ctrlKey, metaKey, altKey } = event;
  const typing = target instanceof HTMLElement && target.matches("input, textarea");
  const called =
    ((ctrlKey || metaKey) && key.toLowerCase() === "k") ||
    (key === "/" && !typing && !ctrlKey && !metaKey && !altKey);
  if (!called) return;
  event.preventDefault();
  find.open();
});
</script>

<template>
  <NModal v-model:show="find.shown" :auto-focus="false">
    <div class="palette" role="dialog" aria-modal="true" aria-label="Find" @keydown="byKey">
      <TextField
        ref="field"
        v-model="typed"
        label="Find"
        placeholder="A piece, crate, brand kit, template, placement or action"
      />
      <ul role="listbox" aria-label="Found">
        <li
          v-for="(one, index) in found"
          :key="`${one.kind} ${one.name} ${one.about}`"
          role="option"
          :aria-selected="index === at"
          @click="take(one)"
          @mousemove="at = index"
        >
          <b>{{ one.name }}</b>
          <span class="quiet">{{ one.about }}</span>
          <span class="quiet small">{{ one.kind }}</span>
        </li>
      </ul>
      <p class="hidden-name" role="status">
        {{ current ? `${current.name}, ${current.kind}` : "Nothing found" }}
      </p>
      <p v-if="found.length === 0" class="quiet none">Nothing is called “{{ typed }}”.</p>
    </div>
  </NModal>
</template>

<style scoped>
.palette {
  width: min(560px, 94vw);
  padding: 12px;
  margin: 12vh auto auto;
  border-radius: 4px;
  background: var(--card);
  box-shadow: 0 8px 24px var(--shade);
}

ul {
  padding: 0;
  margin: 8px 0 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: 12px;
  align-items: baseline;
  padding: 8px 10px;
  border-radius: 4px;
  cursor: pointer;
}

li > :nth-child(2) {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

li[aria-selected="true"] {
  background: var(--leaf-tint);
}

.none {
  padding: 8px 10px;
}
</style>
