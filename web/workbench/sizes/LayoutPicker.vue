<script setup lang="ts">
import { NButton } from "naive-ui";
import { computed, ref, watch } from "vue";
import { layoutKey, localOf, sameLayout, type LayoutId, type Piece } from "../../../core/piece";
import { layoutName } from "../../../core/wording/layouts";
import type { Placement } from "../../../core/placements";
import { api } from "../../api/client";
import { usePiece } from "../piece";
import { useSharedWall } from "../../wall/wall-key";
import DialogCard from "../../common/DialogCard.vue";
import VersionTile from "../../common/VersionTile.vue";

/** The best layouts of one size, to pick from. What is picked holds until it is given back. */
const shown = defineModel<boolean>("shown", { required: true });
const props = defineProps<{ placement: Placement }>();

const open = usePiece();
const wall = useSharedWall();
const layouts = ref<LayoutId[]>();
const failure = ref("");

watch(shown, async (now) => {
  if (!now || !open.piece) return;
  layouts.value = undefined;
  failure.value = "";
  try {
    await open.save();
    layouts.value = (await api.layouts(open.piece.id, props.placement.id, open.slide)).layouts;
  } catch (error) {
    failure.value = (error as Error).message;
  }
});

const ROOM = { width: 306, height: 420 };
const width = computed(() => {
  const { width: w, height: h } = props.placement;
  return Math.round(Math.min(ROOM.width, (ROOM.height * w) / h, w));
});
const picked = computed(
  () => open.piece && localOf(open.piece, props.placement.id).layout !== undefined,
);
const current = computed(() => wall.reports.value.get(props.placement.id)?.layout);

function withLayout(layout: LayoutId): Piece {
  const sizes = open.piece!.sizes.map((size) =>
    size.placement === props.placement.id ? { ...size, layout } : size,
  );
  return { ...open.piece!, sizes };
}

function pick(layout: LayoutId | undefined): void {
  open.set(["sizes", props.placement.id, "layout"], layout ?? null);
  shown.value = false;
}

function sentence(layout: LayoutId): string {
  const name = layoutName(layout);
  return name.charAt(0).toUpperCase() + name.slice(1);
}
</script>

<template>
  <DialogCard v-model:shown="shown" :title="`Layouts for ${placement.name}`" :width="1020">
    <p v-if="failure" role="alert" class="failure">{{ failure }}</p>
    <p v-else-if="!layouts" class="quiet">Laying it out …</p>
    <template v-else-if="open.piece && open.brand">
      <p v-if="layouts.length === 1" class="quiet">
        No other layout passes preflight at this size.
      </p>
      <div class="choices">
        <button
          v-for="(layout, index) in layouts"
          :key="layoutKey(layout)"
          class="choice"
          :aria-pressed="sameLayout(layout, current)"
          @click="pick(layout)"
        >
          <VersionTile
            :piece="withLayout(layout)"
            :brand="open.brand"
            :placement="placement"
            :width="width"
            :label="layoutName(layout)"
          />
          <span
            >{{ sentence(layout) }}<span v-if="index === 0" class="quiet">, the best</span></span
          >
        </button>
      </div>
      <p v-if="picked">
        <NButton @click="pick(undefined)">Choose automatically</NButton>
      </p>
    </template>
  </DialogCard>
</template>

<style scoped>
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 28px;
  align-items: end;
  justify-content: center;
}

.choice {
  display: grid;
  gap: 10px;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  font-size: 13px;
  text-align: left;
  cursor: pointer;
}

.choice[aria-pressed="true"] :deep(canvas) {
  outline: 3px solid var(--zest);
  outline-offset: 3px;
}
</style>
