<script setup lang="ts">
import { NCheckbox } from "naive-ui";
import { computed } from "vue";
import { PageMarkForm, type Pin, type Running, type RunningKind } from "../../../core/piece";
import { isStrip, RUNNING, slideIds, withRunning } from "../../../core/strip";
import { asOptions } from "../../ui/options";
import SelectField from "../../ui/SelectField.vue";
import TextField from "../../ui/TextField.vue";
import AcrossList from "./AcrossList.vue";
import { usePiece } from "../piece";

/** In the ledger of a strip: what runs through all its slides, and what runs across their folds. */
const open = usePiece();
const strip = computed(() => (open.whole && isStrip(open.whole) ? open.whole : undefined));
const items = computed(() => strip.value?.running ?? []);
const kinds = Object.keys(RUNNING) as RunningKind[];

function put(to: readonly Running[]): void {
  if (strip.value) open.becomeWhole({ ...strip.value, running: [...to] });
}
const of = (kind: RunningKind): Running | undefined => items.value.find((one) => one.kind === kind);
/** The handle stands beside the profile picture already. */
const STANDS_FOR: Partial<Record<RunningKind, RunningKind>> = {
  portrait: "handle",
  handle: "portrait",
};
function toggle(kind: RunningKind, on: boolean): void {
  const others = items.value.filter((one) => one.kind !== kind);
  const apart = others.filter((one) => one.kind !== STANDS_FOR[kind]);
  put(on ? withRunning(apart, kind) : others);
}
const change = (kind: RunningKind, part: Partial<Running>): void =>
  put(items.value.map((one) => (one.kind === kind ? { ...one, ...part } : one)));

/** The slide that is worked on, by its id. */
const here = computed(() => (strip.value ? slideIds(strip.value)[open.slide]! : ""));
function withoutHere({ without }: Running, isHere: boolean): string[] {
  const others = without.filter((id) => id !== here.value);
  return isHere ? others : [...others, here.value];
}

/** Those whose words may be one's own. */
const WORDED: readonly RunningKind[] = ["handle", "portrait", "site", "line", "swipe-cue"];
const hasFace = computed(() => open.brand?.portrait !== undefined);

const PLACES = [
  "top left",
  "top centre",
  "top right",
  "bottom left",
  "bottom centre",
  "bottom right",
] as const;
const FORM_NAMES: Record<PageMarkForm, string> = {
  number: "3/8",
  dots: "A dot for each slide",
  bar: "A bar that grows along the edge",
};
const FORMS = asOptions(PageMarkForm.options, (form) => FORM_NAMES[form]);
const places = asOptions(PLACES, (place) => `At the ${place}`);
const placeOf = ({ pin: { h, v } }: Running) =>
  `${v ?? "bottom"} ${h ?? "left"}` as (typeof PLACES)[number];
function pinOf(place: (typeof PLACES)[number]): Pin {
  const [v, h] = place.split(" ") as [NonNullable<Pin["v"]>, NonNullable<Pin["h"]>];
  return { h, v };
}
</script>

<template>
  <section v-if="strip" class="panel" aria-label="The strip">
    <h3>On every slide</h3>
    <div v-for="kind in kinds" :key="kind" class="item">
      <NCheckbox :checked="of(kind) !== undefined" @update:checked="toggle(kind, $event)">
        {{ RUNNING[kind].name }}
      </NCheckbox>
      <template v-if="of(kind)">
        <SelectField
          :label="`Where the ${RUNNING[kind].name.toLowerCase()} stands`"
          size="small"
          :options="places"
          :model-value="placeOf(of(kind)!)"
          @update:model-value="$event && change(kind, { pin: pinOf($event) })"
        />
        <SelectField
          v-if="kind === 'page-mark'"
          label="How the page mark counts"
          size="small"
          :options="FORMS"
          :model-value="of(kind)!.form ?? 'number'"
          @update:model-value="$event && change(kind, { form: $event })"
        />
        <TextField
          v-if="WORDED.includes(kind)"
          size="small"
          :label="`Words of the ${RUNNING[kind].name.toLowerCase()}`"
          :placeholder="RUNNING[kind].usual.text ?? 'as the kit has it'"
          :model-value="of(kind)!.text ?? ''"
          @change="change(kind, { text: $event.trim() || undefined } as Partial<Running>)"
        />
        <RouterLink
          v-if="kind === 'portrait' && !hasFace && open.brand"
          class="small"
          :to="{ name: 'brand', params: { id: open.brand.id } }"
          >The kit has no profile picture yet: add one there</RouterLink
        >
        <span class="row">
          <NCheckbox :checked="of(kind)!.first" @update:checked="change(kind, { first: $event })">
            on the first
          </NCheckbox>
          <NCheckbox
            :checked="!of(kind)!.without.includes(here)"
            @update:checked="change(kind, { without: withoutHere(of(kind)!, $event) })"
          >
            on this one
          </NCheckbox>
          <NCheckbox :checked="of(kind)!.last" @update:checked="change(kind, { last: $event })">
            on the last
          </NCheckbox>
        </span>
      </template>
    </div>
    <AcrossList :strip="strip" />
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  gap: 10px;
  padding: 14px 0;
  border-top: 1px solid var(--line);
}

.item {
  display: grid;
  gap: 6px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  font-size: 13px;
}
</style>
