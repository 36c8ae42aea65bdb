<script setup lang="ts">
import type { Brand } from "../../core/brand";
import KitColours from "./KitColours.vue";
import KitPairs from "./KitPairs.vue";
import KitVoice from "./KitVoice.vue";

/** A kit while it is changed, with what will change in words. */
const draft = defineModel<Brand>({ required: true });
defineProps<{ changes: string[]; failure: string }>();
</script>

<template>
  <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
  <label class="named">
    Name
    <input v-model="draft.name" class="field" maxlength="80" />
  </label>
  <KitColours v-model="draft.colours" />
  <div class="columns">
    <KitPairs :colours="draft.colours" />
    <KitVoice v-model="draft.voice" />
  </div>
  <section aria-label="What changes">
    <h2>What changes</h2>
    <p v-if="changes.length === 0" class="quiet">Nothing yet.</p>
    <ul v-else>
      <li v-for="change in changes" :key="change">{{ change }}</li>
    </ul>
  </section>
</template>

<style scoped>
.failure {
  padding: 10px 14px;
  margin: 0;
  background: var(--berry-tint);
  color: var(--berry);
}

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

ul {
  padding-left: 18px;
  margin: 0;
}
</style>
