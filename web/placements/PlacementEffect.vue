<script setup lang="ts">
import type { ListedPiece } from "../../core/api";
import type { Brand } from "../../core/brand";
import type { Placement } from "../../core/placements";
import BeforeAfter from "../common/BeforeAfter.vue";
import { usePieceOf } from "../common/pieces";

/** What a change of a placement does to one piece that goes there. `width` is CSS pixels for each of the two. */
const props = defineProps<{
  piece: ListedPiece;
  brand: Brand;
  before: Placement;
  after: Placement;
  width: number;
}>();
const whole = usePieceOf(() => props.piece);
</script>

<template>
  <BeforeAfter
    v-if="whole"
    :name="piece.title"
    :before="{ piece: whole, placement: before }"
    :after="{ piece: whole, placement: after }"
    :brand="brand"
    :width="width"
  />
</template>
