<script setup lang="ts">
import { computed, ref, useTemplateRef } from "vue";
import { Verdict } from "../../core/api";
import { CRITERIA } from "../../core/choosing";
import { slotName } from "../../core/message";
import DialogCard from "../common/DialogCard.vue";
import { NButton, NSwitch } from "naive-ui";
import CommonVeil from "./CommonVeil.vue";
import { useChoosing } from "./choosing";
import { thumbnailOf } from "../common/thumbnails";
import { useCommon } from "./use-common";
import { VERDICTS } from "./verdicts";

/** Two to four variations side by side, as wide as on a phone where there is room, with what differs between them. */
const shown = defineModel<boolean>("shown", { required: true });
const choosing = useChoosing();

/** CSS pixels; the width of a common phone. */
const PHONE = 390;
/** The names of the rows, and the room around the table. */
const AROUND = 230;
const held = computed(() => choosing.compared.flatMap((index) => choosing.all[index] ?? []));
const width = computed(() =>
  Math.min(
    PHONE,
    Math.floor((window.innerWidth - AROUND - 24 * held.value.length) / held.value.length),
  ),
);

/** What all of them have in common is veiled. */
const isVeiled = ref(false);
const graphics = useTemplateRef<HTMLImageElement[]>("graphics");
const veil = useCommon(() => (isVeiled.value && graphics.value ? [...graphics.value] : undefined));

interface Row {
  name: string;
  cells: { said: string; isBest: boolean }[];
}
/** Only what is not the same for all. */
const values = computed(() =>
  (choosing.sheet?.columns ?? []).flatMap((column): Row[] => {
    const cells = held.value.map((one) => one.values[column] ?? "as in the piece");
    if (new Set(cells).size < 2) return [];
    const name = slotName(column);
    return [{ name, cells: cells.map((said) => ({ said, isBest: false })) }];
  }),
);
const marks = computed(() =>
  choosing.criteria.flatMap((criterion): Row[] => {
    const { name, say, better, step } = CRITERIA[criterion];
    // What is not measured yet is not compared.
    const found = held.value.flatMap(({ marks: own }) => own?.[criterion] ?? []);
    if (found.length < held.value.length) return [];
    const [least, most] = [Math.min(...found), Math.max(...found)];
    if (most - least < step) return [];
    const best = better === "more" ? most : least;
    return [{ name, cells: found.map((value) => ({ said: say(value), isBest: value === best })) }];
  }),
);
</script>

<template>
  <DialogCard
    v-model:shown="shown"
    fill
    :title="`${held.length} side by side`"
    :width="held.length * (width + 24) + 190"
  >
    <label class="only">
      <NSwitch v-model:value="isVeiled" size="small" aria-label="Only what differs" />
      Only what differs
    </label>
    <table>
      <thead>
        <tr v-for="{ name, cells } in values" :key="name">
          <th scope="row">{{ name }}</th>
          <td v-for="({ said }, at) in cells" :key="at">{{ said }}</td>
        </tr>
        <tr>
          <td></td>
          <th v-for="one in held" :key="one.index" scope="col">
            <span v-if="one.output" class="graphic" :style="{ width: `${width}px` }">
              <img
                ref="graphics"
                :src="thumbnailOf(one.output.url, width)"
                :style="{ width: `${width}px` }"
                :alt="one.name"
              />
              <CommonVeil v-if="veil" :veil="veil" />
            </span>
            <span class="number">{{ one.name }}</span>
            <NButton
              v-for="verdict in Verdict.options"
              :key="verdict"
              size="tiny"
              :type="one.verdict === verdict ? 'primary' : 'default'"
              :aria-pressed="one.verdict === verdict"
              @click="
                choosing.change(one.index, { verdict: one.verdict === verdict ? null : verdict })
              "
              >{{ VERDICTS[verdict].does }}</NButton
            >
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ name, cells } in marks" :key="name">
          <th scope="row">{{ name }}</th>
          <td v-for="({ said, isBest }, at) in cells" :key="at" :class="{ best: isBest }">
            {{ said }}
          </td>
        </tr>
        <tr v-if="values.length + marks.length === 0">
          <td :colspan="held.length + 1" class="quiet">Nothing differs that is measured.</td>
        </tr>
      </tbody>
    </table>
  </DialogCard>
</template>

<style scoped>
.graphic {
  position: relative;
  display: block;
}

.graphic img {
  display: block;
}

.only {
  display: flex;
  gap: 8px;
  align-items: center;
  padding-bottom: 10px;
  font-size: 13px;
}

table {
  border-collapse: collapse;
  font-size: 13px;
}

th,
td {
  padding: 5px 12px;
  text-align: left;
  vertical-align: top;
}

thead th {
  vertical-align: bottom;
}

thead th[scope="row"] {
  color: var(--quiet);
  font-weight: 400;
  white-space: nowrap;
}

thead img {
  display: block;
  margin-bottom: 8px;
}

thead .number {
  margin-right: 8px;
}

thead button {
  margin-right: 4px;
}

tbody tr {
  border-top: 1px solid var(--line);
}

tbody th {
  color: var(--quiet);
  font-weight: 400;
  white-space: nowrap;
}

.best {
  font-weight: 650;
}
</style>
