<script setup lang="ts">
import { watchDebounced } from "@vueuse/core";
import { computed, ref, watch } from "vue";
import {
  outlineOf,
  pictureNames,
  readOutline,
  slideCount,
  withOutline,
  writeOutline,
} from "../../../core/strip";
import { counted } from "../../common/counted";
import DialogCard from "../../common/DialogCard.vue";
import { useLibrary } from "../../common/library";
import TextField from "../../ui/TextField.vue";
import { usePiece } from "../piece";
import SlideTile from "./SlideTile.vue";

/** All slides as text, to type or paste; the slides beside it follow. */
const shown = defineModel<boolean>("shown", { required: true });
const open = usePiece();
const library = useLibrary();

const names = computed(() => pictureNames(library.photographsOf(open.piece?.brand ?? "")));
const text = ref("");
const unknown = ref<string[]>([]);
const written = (): string => (open.whole ? writeOutline(outlineOf(open.whole, names.value)) : "");
watch(
  shown,
  (now) => {
    if (now) text.value = written();
    unknown.value = [];
  },
  { immediate: true },
);

const REST = 150;
watchDebounced(
  text,
  (now) => {
    if (!shown.value || !open.whole || now === written()) return;
    const made = withOutline(open.whole, readOutline(now), names.value);
    unknown.value = made.unknown;
    open.becomeWhole(made.piece);
  },
  { debounce: REST },
);

const lead = computed(() => open.placements.find(({ id }) => id === open.piece?.lead));
const count = computed(() => (open.whole ? slideCount(open.whole) : 0));
const WIDTH = 132;
</script>

<template>
  <DialogCard v-model:shown="shown" title="Outline" :width="980" close="Done" fill>
    <p class="quiet small about">
      A heading (#) or a line of --- begins a slide. Beneath it stand text, points (-), quotations
      (&gt;), <code>date: 14 March</code> for any slot, and pictures by name:
      <code>![what it shows](name)</code>.
    </p>
    <div class="columns">
      <div class="typed">
        <TextField v-model="text" label="Outline" :rows="22" />
        <p v-if="unknown.length > 0" class="wrong" role="alert">
          No picture is called {{ unknown.map((name) => `“${name}”`).join(", ") }}; add it under
          Pictures, or write the name as it stands there.
        </p>
      </div>
      <div v-if="lead" class="slides" role="group" :aria-label="counted(count, 'slide')">
        <SlideTile
          v-for="index in count"
          :key="index"
          :index="index - 1"
          :placement="lead"
          :width="WIDTH"
        />
      </div>
    </div>
  </DialogCard>
</template>

<style scoped>
.about {
  margin: 0;
}

.columns {
  display: grid;
  flex: 1;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 20px;
  min-height: 0;
}

.typed {
  padding: 2px;
  overflow: auto;
}

.slides {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-content: start;
  overflow: auto;
}

.wrong {
  color: var(--berry);
}
</style>
