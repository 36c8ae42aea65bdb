<script setup lang="ts">
import { NButton, NCheckbox, NPopconfirm, NRadio, NRadioGroup } from "naive-ui";
import { computed, toRef } from "vue";
import { isStrip } from "../../../core/strip";
import { useBatch } from "./batch";
import { useChoosePictures } from "../../common/add-pictures";
import FileButton from "../../ui/FileButton.vue";
import ManyField from "../../ui/ManyField.vue";
import PictureChoice from "../../common/PictureChoice.vue";
import { usePiece } from "../piece";
import { counted } from "../../common/counted";
import FileFields from "../deliver/FileFields.vue";
import NeverList from "./NeverList.vue";
import SpreadChoice from "./SpreadChoice.vue";
import TemplateChoice from "./TemplateChoice.vue";
import TypefaceChoice from "./TypefaceChoice.vue";
import { sizeOf } from "../../common/size-of";

/** In the ledger: how the table is combined, for which sizes, and how much that makes. */
const batch = useBatch();
const open = usePiece();

const strip = computed(() => open.whole !== undefined && isStrip(open.whole));

/** What is added varies at once. */
const { progress, add, stop } = useChoosePictures(
  () => open.piece?.brand,
  toRef(batch, "pictures"),
);

/** From so many files on it is asked whether they are meant. */
const MANY = 2000;

const ready = computed(() => (batch.plan?.files ?? 0) > 0);
const count = computed(() => {
  const { plan } = batch;
  if (!plan) return "";
  const variations = counted(plan.variations, "variation");
  const sizes = counted(batch.placements.length, "size");
  if (strip.value) return `${variations} on ${sizes}, all slides: ${counted(plan.files, "file")}`;
  // Some are made for sizes of their own.
  if (plan.files !== plan.variations * batch.placements.length)
    return `${variations} on up to ${sizes}: ${counted(plan.files, "file")}`;
  return `${variations} × ${sizes} = ${counted(plan.files, "file")}`;
});

const cost = computed(() => {
  const { plan } = batch;
  if (!plan?.files) return "";
  const { seconds } = plan;
  const time =
    seconds < 90 ? counted(seconds, "second") : counted(Math.round(seconds / 60), "minute");
  return `about ${time}, ${sizeOf(plan.bytes)}`;
});
const together = computed(() => batch.columns.map(({ name, label }) => ({ value: name, label })));

const ofOwn = (chosen: number): string => (chosen > 0 ? `${chosen} chosen` : "the piece's own");

function toggle(list: string[], id: string): string[] {
  return list.includes(id) ? list.filter((other) => other !== id) : [...list, id];
}
</script>

<template>
  <section class="setup" aria-label="How to combine">
    <fieldset>
      <legend>Pairing</legend>
      <NRadioGroup v-model:value="batch.pairing" name="pairing"
        ><NRadio value="in-step">In step: row by row</NRadio
        ><NRadio value="every-mix">Every mix of the columns</NRadio
        ><NRadio value="together">Some in step, the rest mixed</NRadio></NRadioGroup
      >
      <ManyField
        v-if="batch.pairing === 'together'"
        v-model="batch.groups"
        label="Columns that go in step"
        placeholder="Columns that go in step"
        :options="together"
      />
      <NCheckbox
        v-if="batch.pairing !== 'in-step'"
        :checked="batch.sample === 'pairs'"
        @update:checked="batch.sample = $event ? 'pairs' : 'all'"
        >Only a sample in which every two values meet</NCheckbox
      >
    </fieldset>
    <fieldset v-if="batch.pairing !== 'in-step' && batch.columns.length > 1">
      <legend>Never together</legend>
      <NeverList v-model="batch.never" :columns="batch.columns" />
    </fieldset>
    <fieldset>
      <legend>Layout</legend>
      <NRadioGroup v-model:value="batch.alike" name="alike"
        ><NRadio :value="true">As a set: same layout, same type size</NRadio
        ><NRadio :value="false">Each as large as it can be</NRadio></NRadioGroup
      >
    </fieldset>
    <fieldset v-if="batch.pictureSlot">
      <legend>
        Pictures
        <span class="quiet">{{ ofOwn(batch.pictures.length) }}</span>
      </legend>
      <PictureChoice v-model="batch.pictures" :brand="open.piece?.brand ?? ''" />
      <div class="more">
        <template v-if="progress">
          <span class="quiet small number" role="status">Storing {{ progress }} …</span>
          <NButton size="small" @click="stop">Stop</NButton>
        </template>
        <template v-else>
          <FileButton size="small" multiple label="Add pictures" accept="image/*" @open="add" />
          <FileButton size="small" folder label="Add a folder" accept="image/*" @open="add" />
        </template>
      </div>
    </fieldset>
    <fieldset v-if="open.brand">
      <legend>
        Spreads
        <span class="quiet">{{ ofOwn(batch.spreads.length) }}</span>
      </legend>
      <SpreadChoice v-model="batch.spreads" :brand="open.brand" />
    </fieldset>
    <fieldset v-if="open.brand">
      <legend>
        Typefaces
        <span class="quiet">{{ ofOwn(batch.typefaces.length) }}</span>
      </legend>
      <TypefaceChoice v-model="batch.typefaces" :brand="open.brand" />
    </fieldset>
    <fieldset v-if="open.whole && open.brand">
      <legend>
        {{ strip ? "Sets" : "Arrangements" }}
        <span class="quiet">{{ ofOwn(batch.templates.length) }}</span>
      </legend>
      <TemplateChoice
        v-model="batch.templates"
        :piece="open.whole"
        :brand="open.brand"
        :templates="batch.arranging"
      />
    </fieldset>
    <fieldset>
      <legend>Sizes</legend>
      <NCheckbox
        v-for="placement in open.placements"
        :key="placement.id"
        :checked="batch.placements.includes(placement.id)"
        @update:checked="batch.placements = toggle(batch.placements, placement.id)"
        >{{ placement.name }}</NCheckbox
      >
    </fieldset>
    <FileFields v-model:format="batch.format" v-model:scale="batch.scale" />
    <div class="make">
      <div role="status">
        <strong class="number">{{ count }}</strong>
        <span v-if="cost" class="quiet small number">, {{ cost }}</span>
      </div>
      <NPopconfirm v-if="(batch.plan?.files ?? 0) >= MANY" @positive-click="batch.start()">
        <template #trigger><NButton type="primary">Make batch</NButton></template>
        {{ count }}: {{ cost }}. Make them all?
      </NPopconfirm>
      <NButton v-else type="primary" :disabled="!ready" @click="batch.start()">Make batch</NButton>
    </div>
  </section>
</template>

<style scoped>
.setup {
  display: grid;
  gap: 20px;
}

fieldset {
  display: grid;
  gap: 4px;
  min-width: 0;
  padding: 0;
  margin: 0;
  border: 0;
}

.more {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}

legend {
  padding: 0 0 6px;
  font-weight: 650;
}

legend .quiet {
  font-weight: 400;
}

.make {
  position: sticky;
  z-index: 1;
  bottom: -32px;
  display: grid;
  gap: 8px;
  padding: 12px 0 32px;
  margin-bottom: -32px;
  border-top: 1px solid var(--line);
  background: var(--card);
}
</style>
