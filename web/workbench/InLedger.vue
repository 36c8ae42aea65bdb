<script setup lang="ts">
/** Puts a step's settings into the ledger on the right. */
</script>

<template>
  <Teleport defer to="#ledger-step"><slot /></Teleport>
</template>
