<script setup lang="ts">
import { NButton } from "naive-ui";
import { ref, watch } from "vue";
import PopUp from "../../../ui/PopUp.vue";
import { useBench } from "../../bench";
import ColourSwatches from "./ColourSwatches.vue";
import { useHandStyle } from "./use-style";

/** A colour in a row of its own, chosen over the page. */
defineProps<{ label: string; words?: boolean }>();
const token = defineModel<string>();
const { hexOf } = useHandStyle();
const bench = useBench();
const shown = ref(false);
/** It is out of the way while a colour is taken from the graphic. */
watch(
  () => bench.pipette,
  (taking) => taking && (shown.value = false),
);
</script>

<template>
  <div class="line">
    <span class="quiet small">{{ label }}</span>
    <!-- It stays while it is closed: a colour that is taken from the graphic comes after a press outside of it. -->
    <PopUp v-model:show="shown" placement="left" display-directive="show" :width="260">
      <template #trigger>
        <NButton size="small" class="chosen" :aria-label="`${label}: choose a colour`">
          <span class="paint" :style="{ background: (token && hexOf(token)) || 'none' }"></span>
          Choose
        </NButton>
      </template>
      <ColourSwatches :token="token" :words="words ?? false" @pick="token = $event" />
    </PopUp>
  </div>
</template>

<style scoped>
.chosen {
  justify-self: start;
}

.paint {
  width: 18px;
  height: 18px;
  margin-right: 8px;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
}
</style>
