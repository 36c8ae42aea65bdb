<script setup lang="ts">
import { ref, watch } from "vue";

/**
 * A name that is changed where it stands, as a heading does. It is a bare input, since a field with
 * borders and padding of its own would not read as the heading that it is.
 */
const props = defineProps<{ name: string; label: string; maxlength: number }>();
const emit = defineEmits<{ rename: [name: string] }>();

/** What is being typed: whatever is drawn anew around it meanwhile, it stays. */
const typed = ref(props.name);
watch(
  () => props.name,
  (name) => (typed.value = name),
);

/** An empty name is put back. */
function rename(): void {
  const name = typed.value.trim();
  typed.value = name || props.name;
  if (name && name !== props.name) emit("rename", name);
}
</script>

<template>
  <input
    v-model="typed"
    class="name"
    :maxlength="maxlength"
    :aria-label="label"
    spellcheck="false"
    @change="rename"
    @keydown.enter="($event.target as HTMLInputElement).blur()"
  />
</template>

<style scoped>
.name {
  min-width: 0;
  border: 1px solid transparent;
  border-radius: 4px;
  background: none;
  color: var(--ink);
}

.name:hover {
  border-color: var(--line-strong);
}
</style>
