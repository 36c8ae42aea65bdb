<script setup lang="ts">
import { shallowRef, watch } from "vue";
import { useScrolling } from "../common/use-scrolling";

/** A picture of a long list: what only passes by while one scrolls is not asked for. */
defineProps<{ src: string }>();

const isScrolling = useScrolling();
const isWanted = shallowRef(!isScrolling.value);
watch(isScrolling, (now) => (isWanted.value ||= !now));
</script>

<template>
  <img :src="isWanted ? src : undefined" alt="" />
</template>
