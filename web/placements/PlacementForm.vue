<script setup lang="ts">
import { NAutoComplete, NDatePicker } from "naive-ui";
import { computed } from "vue";
import { Placement, safeArea } from "../../core/placements";
import type { PlacementFacts } from "../../core/api";
import { channelName } from "../wall/packing";
import AreaList from "../workbench/message/AreaList.vue";
import type { FieldErrors } from "../ui/field-errors";
import NumberField from "../ui/NumberField.vue";
import SelectField from "../ui/SelectField.vue";
import TextField from "../ui/TextField.vue";
import { asOptions } from "../ui/options";

/** The facts of a placement, to be changed in place. */
const facts = defineModel<PlacementFacts>({ required: true });
defineProps<{ channels: readonly string[]; errors: FieldErrors }>();

const uses = Placement.shape.use.options;
const safe = computed(() => safeArea({ ...facts.value, id: "draft" }));
const noRoom = computed(() => safe.value.width <= 0 || safe.value.height <= 0);

/** Roles that a crop is usually asked to keep. */
const KEPT = ["headline", "logo", "price", "badge", "cta", "all"];
</script>

<template>
  <div class="facts labelled">
    <label class="wide"
      >Name<TextField v-model="facts.name" :maxlength="80" :error="errors.name"
    /></label>
    <label>
      Channel
      <NAutoComplete
        v-model:value="facts.channel"
        :options="asOptions(channels, channelName)"
        :get-show="() => true"
      />
    </label>
    <label>
      Use
      <SelectField v-model="facts.use" label="Use" :options="asOptions(uses, channelName)" />
    </label>
    <label>Width, px<NumberField v-model="facts.width" :error="errors.width" /></label>
    <label>Height, px<NumberField v-model="facts.height" :error="errors.height" /></label>
    <label
      >Seen at, CSS px wide<NumberField v-model="facts.viewWidth" :error="errors.viewWidth"
    /></label>
    <label>Margin, px<NumberField v-model="facts.margin" :error="errors.margin" /></label>
    <AreaList
      v-model="facts.covered"
      title="Covered by the channel"
      :frame="facts"
      :fresh="{ by: 'controls' }"
      label="by"
    />
    <AreaList
      v-model="facts.crops"
      title="Crops"
      :frame="facts"
      :fresh="{ name: 'grid', shape: 'rect', keeps: ['headline', 'logo'] }"
      label="name"
      :keeps="KEPT"
    />
    <label class="wide">Source<TextField v-model="facts.source" /></label>
    <label
      >Checked<NDatePicker
        v-model:formatted-value="facts.checked"
        type="date"
        value-format="yyyy-MM-dd"
    /></label>
    <label class="wide">Note<TextField v-model="facts.note" /></label>
    <p v-if="noRoom" class="wide must">
      Margin and covered areas leave no room for words; only a picture fits here.
    </p>
  </div>
</template>

<style scoped>
.facts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 12px;
}

.wide,
:deep(.areas) {
  grid-column: 1 / -1;
}

.must {
  color: var(--berry);
  font-size: 13px;
}
</style>
