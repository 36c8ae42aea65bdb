<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref, shallowRef, watch } from "vue";
import type { Piece } from "../../../core/piece";
import type { Placement } from "../../../core/placements";
import { slideOf } from "../../../core/strip";
import { api } from "../../api/client";
import { usePiece } from "../piece";
import { wallWidths } from "../../wall/packing";
import BeforeAfter from "../../common/BeforeAfter.vue";
import DialogCard from "../../common/DialogCard.vue";

/** Makes another size the lead, after a look at what that does to all of them. */
const shown = defineModel<boolean>("shown", { required: true });
const props = defineProps<{ placement: Placement }>();

const open = usePiece();
const whole = shallowRef<Piece>();
const after = computed(() => whole.value && slideOf(whole.value, open.slide));
const failure = ref("");

watch(shown, async (now) => {
  if (!now || !open.piece) return;
  whole.value = undefined;
  failure.value = "";
  try {
    await open.save();
    whole.value = await api.withLead(open.piece.id, props.placement.id);
  } catch (error) {
    failure.value = (error as Error).message;
  }
});

/** Sizes of like shape beside each other, so that the rows have one height. */
const placements = computed(() =>
  [...open.placements].sort((a, b) => b.height / b.width - a.height / a.width),
);
const widths = computed(() => wallWidths(open.placements, 0.8));

function accept(): void {
  const { lead, frame, arrangement, sizes, slides } = whole.value!;
  const change = { lead, frame, arrangement, sizes, ...(slides ? { slides } : {}) };
  if (open.whole) open.becomeWhole({ ...open.whole, ...change }, "lead");
  shown.value = false;
}
</script>

<template>
  <DialogCard v-model:shown="shown" :title="`${placement.name} as the lead size`" :width="980" fill>
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <p v-else-if="!after" class="quiet">Composing it …</p>
    <template v-else-if="open.piece && open.brand">
      <p>
        The piece is then composed as this size looks now, and the others follow from it.
        <NButton type="primary" @click="accept">Make it the lead</NButton>
      </p>
      <div class="pairs">
        <BeforeAfter
          v-for="one in placements"
          :key="one.id"
          :name="one.name"
          :before="{ piece: open.piece, placement: one }"
          :after="{ piece: after, placement: one }"
          :brand="open.brand"
          :width="widths.get(one.id) ?? 100"
        />
      </div>
    </template>
  </DialogCard>
</template>

<style scoped>
p {
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: space-between;
}

.pairs {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 28px 36px;
  align-content: start;
  align-items: end;
  min-height: 0;
  overflow: auto;
}
</style>
