<script setup lang="ts">
import { NButton } from "naive-ui";
import LinkButton from "../ui/LinkButton.vue";
import { useFirstPiece, type FirstStep } from "./first-steps";

/** Above the crates, as long as nothing of one's own is there: what to begin with. */
defineProps<{ step: FirstStep; hasDemo: boolean }>();
defineEmits<{ lookRound: [] }>();

const startPiece = useFirstPiece();
</script>

<template>
  <section class="first" aria-label="First steps">
    <template v-if="step.do === 'kit'">
      <div>
        <h2>Whose brand is it?</h2>
        <p class="quiet">
          Colours and logo are read from a logo file or a screenshot of the site.
          <template v-if="hasDemo">Or look round: two made-up brands are below.</template>
        </p>
      </div>
      <NButton v-if="hasDemo" @click="$emit('lookRound')">Look round</NButton>
      <LinkButton main :to="{ name: 'new-brand' }">Make your brand kit</LinkButton>
    </template>
    <template v-else>
      <div>
        <h2>What should the first graphic say?</h2>
        <p class="quiet">
          The kit of {{ step.brand.name }} is ready. Write a headline, pick a template, and every
          size is there.
        </p>
      </div>
      <NButton type="primary" @click="startPiece(step.brand)">Start the first piece</NButton>
    </template>
  </section>
</template>

<style scoped>
.first {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 16px 20px;
  margin-bottom: 24px;
  background: var(--leaf-tint);
}

.first > div {
  flex: 1 1 320px;
}
</style>
