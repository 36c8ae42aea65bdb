<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed } from "vue";
import { Brand } from "../../core/brand";
import KitColours from "./KitColours.vue";
import KitDefaults from "./KitDefaults.vue";
import KitLogos from "./KitLogos.vue";
import KitPairs from "./KitPairs.vue";
import KitPortrait from "./KitPortrait.vue";
import KitTypefaces from "./KitTypefaces.vue";
import KitVoice from "./KitVoice.vue";
import SpreadBar from "./SpreadBar.vue";
import { errorsIn } from "../ui/field-errors";
import TextField from "../ui/TextField.vue";

/** A kit while it is changed, with what will change in words. */
const draft = defineModel<Brand>({ required: true });
defineProps<{ changes: string[]; failure: string }>();
const errors = computed(() => errorsIn(Brand.safeParse(draft.value)));
</script>

<template>
  <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
  <label class="named">
    Name
    <TextField v-model="draft.name" :maxlength="80" :error="errors.name" />
  </label>
  <KitColours v-model="draft.colours" />
  <div class="columns">
    <KitTypefaces v-model="draft.typefaces" :sample="draft.name" />
    <KitVoice v-model="draft.voice" />
  </div>
  <div class="columns">
    <KitLogos v-model="draft.logos" :colours="draft.colours" />
    <div class="stacked">
      <KitPortrait v-model="draft.portrait" :brand="draft.id" />
      <KitDefaults v-model="draft.defaults" :colours="draft.colours" />
    </div>
  </div>
  <section v-if="draft.spreads.length > 0" aria-label="Pinned spreads">
    <h2>Pinned spreads</h2>
    <ol class="pinned">
      <li v-for="(spread, index) in draft.spreads" :key="index">
        <SpreadBar :colours="draft.colours" :spread="spread" />
        <NButton quaternary @click="draft.spreads = draft.spreads.filter((_, i) => i !== index)">
          Unpin
        </NButton>
      </li>
    </ol>
  </section>
  <KitPairs :colours="draft.colours" />
  <section aria-label="What changes">
    <h2>What changes</h2>
    <p v-if="changes.length === 0" class="quiet">Nothing yet.</p>
    <ul v-else>
      <li v-for="change in changes" :key="change">{{ change }}</li>
    </ul>
  </section>
</template>

<style scoped>
.named {
  display: grid;
  gap: 4px;
  max-width: 420px;
  color: var(--quiet);
  font-size: 12.5px;
}

.columns {
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 40px;
}

.stacked {
  display: grid;
  gap: 28px;
  align-content: start;
}

.pinned {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  padding: 0;
  margin: 8px 0 0;
  list-style: none;
}

ul {
  padding-left: 18px;
  margin: 0;
}
</style>
