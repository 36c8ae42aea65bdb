<script setup lang="ts">
import { LIMITS } from "../../core/piece";
import NameField from "../ui/NameField.vue";
import { usePiece } from "./piece";

/** The piece's name, renamed where it stands. */
const open = usePiece();
</script>

<template>
  <NameField
    class="title"
    :name="open.piece?.title ?? ''"
    :maxlength="LIMITS.title"
    label="Name of the piece"
    @rename="open.set(['title'], $event)"
  />
</template>

<style scoped>
.title {
  flex: 1;
  max-width: 320px;
  padding: 3px 6px;
  font: 650 15px/1.3 var(--text);
  text-overflow: ellipsis;
}
</style>
