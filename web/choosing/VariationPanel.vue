<script setup lang="ts">
import { useEventListener } from "@vueuse/core";
import { NButton, NSwitch } from "naive-ui";
import { computed, defineAsyncComponent, ref, shallowRef, watch } from "vue";
import { slotName } from "../../core/message";
import { Verdict, type SheetVariation } from "../../core/api";
import { CRITERIA, Criterion } from "../../core/choosing";
import { useRouter } from "vue-router";
import { api } from "../api/client";
import { useLibrary } from "../common/library";
import { useToasts } from "../common/toasts";
import TextField from "../ui/TextField.vue";
import { useChoosing } from "./choosing";
import { thumbnailOf } from "../common/thumbnails";
import { VERDICTS } from "./verdicts";

const HeatMap = defineAsyncComponent(() => import("../attention/HeatMap.vue"));

/** The variation that is looked at: large, with what was measured and what is decided. */
const props = defineProps<{ variation: SheetVariation }>();
const choosing = useChoosing();
const library = useLibrary();
const toasts = useToasts();
const router = useRouter();

const WIDTH = 300;
/** How high the other slides of a strip are shown, in CSS pixels. */
const SMALL = 120;
const isHeated = ref(false);
const shownImage = shallowRef<HTMLImageElement>();
const note = ref("");
watch(
  () => props.variation.index,
  () => (note.value = props.variation.note ?? ""),
  { immediate: true },
);
/** Those of the marks that are there, with how they stand among all. */
const marks = computed(() =>
  Criterion.options.flatMap((criterion) => {
    const value = props.variation.marks?.[criterion];
    if (value === undefined) return [];
    const { name, say, about, better } = CRITERIA[criterion];
    const all = choosing.all.flatMap(({ marks: own }) => own?.[criterion] ?? []);
    const beaten = all.filter((other) => (better === "more" ? other < value : other > value));
    const share = all.length > 1 ? beaten.length / (all.length - 1) : 1;
    return [{ criterion, name, said: say(value), about, share }];
  }),
);
/** What is changed there holds when the batch is made again. */
async function changeByHand(): Promise<void> {
  try {
    const { piece } = await api.variationAsPiece(choosing.id, props.variation.index);
    await library.load();
    await router.push({ name: "piece", params: { id: piece.id, step: "sizes" } });
  } catch (error) {
    toasts.fail(error);
  }
}
const values = computed(() =>
  Object.entries(props.variation.values).map(([column, value]) => ({
    name: slotName(column),
    value,
  })),
);

const KEYS: Readonly<Record<string, () => void>> = {
  ...Object.fromEntries(
    Verdict.options.map((one) => [VERDICTS[one].key, () => choosing.decide(one)]),
  ),
  ArrowRight: () => choosing.walk(1),
  ArrowLeft: () => choosing.walk(-1),
  c: () => choosing.current !== undefined && choosing.compare(choosing.current),
  h: () => (isHeated.value = !isHeated.value),
};
const TYPING =
  "input:not([type=radio]), textarea, [aria-expanded=true], [role=slider], [role=dialog]";
useEventListener("keydown", (event: KeyboardEvent) => {
  const target = event.target as HTMLElement;
  if (event.ctrlKey || event.metaKey || event.altKey || target.closest(TYPING)) return;
  // A row of choices is walked with the arrows.
  if (event.key.length > 1 && target.closest("[role=radiogroup]")) return;
  const act = KEYS[event.key.length === 1 ? event.key.toLowerCase() : event.key];
  if (!act) return;
  event.preventDefault();
  act();
});
</script>

<template>
  <section class="panel" :aria-label="`Variation ${variation.name}`">
    <div class="decide" role="group" aria-label="Decision">
      <NButton
        v-for="one in Verdict.options"
        :key="one"
        :type="variation.verdict === one ? 'primary' : 'default'"
        :aria-pressed="variation.verdict === one"
        :title="`Key: ${VERDICTS[one].key.toUpperCase()}`"
        @click="choosing.decide(one)"
      >
        <component :is="VERDICTS[one].icon" :size="15" aria-hidden="true" />
        {{ VERDICTS[one].does }}
      </NButton>
    </div>
    <div v-if="variation.output" class="graphic">
      <img
        :src="thumbnailOf(variation.output.url, WIDTH)"
        :alt="values.map(({ value }) => value).join(', ')"
        @load="shownImage = $event.target as HTMLImageElement"
      />
      <HeatMap v-if="isHeated" :key="variation.index" :source="shownImage" />
    </div>
    <p v-else class="quiet">Not made yet.</p>
    <div
      v-if="variation.slides"
      class="slides"
      role="group"
      aria-label="The other slides"
      tabindex="0"
    >
      <a
        v-for="{ slide, url } in variation.slides"
        :key="slide"
        :href="url"
        target="_blank"
        :aria-label="`Slide ${slide + 1}, full size`"
        ><img :src="thumbnailOf(url, SMALL)" alt="" :height="SMALL"
      /></a>
    </div>
    <div class="line">
      <strong class="number">{{ variation.name }}</strong>
      <label class="heat"
        ><NSwitch v-model:value="isHeated" size="small" aria-label="Show predicted attention" />
        Attention</label
      >
      <a v-if="variation.output" :href="variation.output.url" target="_blank">Full size</a>
    </div>
    <div class="line">
      <NButton size="small" @click="changeByHand">Change by hand</NButton>
      <NButton size="small" @click="choosing.compare(variation.index)">{{
        choosing.compared.includes(variation.index) ? "Not beside" : "Hold beside"
      }}</NButton>
    </div>
    <dl>
      <template v-for="{ name, value } in values" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ value }}</dd>
      </template>
    </dl>
    <table v-if="marks.length" class="marks">
      <caption class="hidden-name">
        What was measured, and how much of the others it beats
      </caption>
      <tbody>
        <tr
          v-for="{ criterion, name, said, about, share } in marks"
          :key="criterion"
          :title="about"
        >
          <th scope="row">{{ name }}</th>
          <td class="number">{{ said }}</td>
          <td class="bar" :aria-label="`better than ${Math.round(100 * share)} % of the others`">
            <i :style="{ width: `${100 * share}%` }"></i>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="variation.output?.findings" class="small look">
      Preflight found {{ variation.output.findings }} to look at.
    </p>
    <p v-if="variation.byHand" class="small quiet">Changed by hand.</p>
    <p v-else-if="variation.output?.apart" class="small quiet">
      Its words did not fit in the layout of the others; it is laid out by itself.
    </p>
    <TextField
      v-model="note"
      :rows="2"
      label="Note"
      placeholder="Note"
      :maxlength="2000"
      @change="choosing.change(variation.index, { note: $event })"
    />
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  gap: 14px;
}

.graphic {
  position: relative;
  justify-self: center;
  width: fit-content;
}

.graphic img {
  display: block;
  max-width: 100%;
  max-height: 340px;
}

.slides {
  display: flex;
  gap: 6px;
  overflow-x: auto;
}

.slides img {
  display: block;
  width: auto;
}

.decide {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 6px;
}

.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
  justify-content: space-between;
  font-size: 13px;
}

.heat {
  display: flex;
  gap: 6px;
  align-items: center;
}

.line > .n-button {
  flex: 1;
}

dl {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 4px 12px;
  margin: 0;
  font-size: 13px;
}

dt {
  color: var(--quiet);
}

dd {
  margin: 0;
  overflow-wrap: anywhere;
}

.marks {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
}

.marks th {
  padding: 3px 8px 3px 0;
  font-weight: 400;
  text-align: left;
}

.marks td {
  padding: 3px 8px 3px 0;
  white-space: nowrap;
}

.marks .bar {
  width: 72px;
  padding-right: 0;
}

.bar i {
  display: block;
  height: 6px;
  min-width: 2px;
  background: var(--leaf);
}

.look {
  color: var(--lemon-ink);
}
</style>
