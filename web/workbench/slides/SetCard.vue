<script setup lang="ts">
import { computed, onMounted } from "vue";
import { inSet } from "../../../core/templates";
import DialogCard from "../../common/DialogCard.vue";
import StripPreview from "../../common/StripPreview.vue";
import { useToasts } from "../../common/toasts";
import { useTemplates } from "../../new-piece/templates";
import { usePiece } from "../piece";

/** The same slides in the arrangements of other carousels, live; one is taken with a press. */
const shown = defineModel<boolean>("shown", { required: true });
const open = usePiece();
const list = useTemplates();
const toasts = useToasts();
onMounted(() => list.load().catch(toasts.fail));

const WIDTH = 104;
const sets = computed(() => {
  const { whole, brand } = open;
  if (!shown.value || !whole || !brand) return [];
  return list.carousels.map((template) => ({ template, piece: inSet(whole, template, brand) }));
});

function take(piece: Parameters<typeof open.becomeWhole>[0]): void {
  open.becomeWhole(piece);
  shown.value = false;
}
</script>

<template>
  <DialogCard v-model:shown="shown" title="Other sets" :width="980" fill>
    <p class="quiet small">What the slides say and show stays; how they are arranged changes.</p>
    <div v-if="open.brand" class="sets">
      <section v-for="{ template, piece } in sets" :key="template.id">
        <StripPreview
          :piece="piece"
          :brand="open.brand"
          :width="WIDTH"
          :label="`Take ${template.name}`"
          @pick="take"
        />
        <p>
          <strong>{{ template.name }}</strong> <span class="quiet small">{{ template.note }}</span>
        </p>
      </section>
    </div>
  </DialogCard>
</template>

<style scoped>
p {
  margin: 0;
}

.sets {
  display: grid;
  flex: 1;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
  align-content: start;
  padding: 12px 4px;
  overflow: auto;
}
</style>
