<template>
  <main class="lost">
    <h1>There is nothing at this address</h1>
    <p>What was saved is safe. <RouterLink to="/">Go to the crates</RouterLink></p>
  </main>
</template>

<style scoped>
.lost {
  display: grid;
  gap: 8px;
  padding: 64px;
}
</style>
