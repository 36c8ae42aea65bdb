<script setup lang="ts">
import { NButton } from "naive-ui";
import { when } from "../common/when";
import type { BrandVersion } from "../../core/api";

/** What a kit has been, newest first; each but the newest can be brought back. */
defineProps<{ versions: BrandVersion[] }>();
const emit = defineEmits<{ restore: [version: BrandVersion] }>();
</script>

<template>
  <section v-if="versions.length > 1" aria-label="Versions">
    <h2>Versions</h2>
    <ol class="dated">
      <li v-for="(version, index) in versions" :key="version.number">
        <span class="quiet small number">{{ when(version.created) }}</span>
        <span>{{ version.changes.join("; ") || "First version" }}</span>
        <span v-if="index === 0" class="quiet small">now</span>
        <NButton v-else quaternary @click="emit('restore', version)">Bring back</NButton>
      </li>
    </ol>
  </section>
</template>
