import { defineStore } from "pinia";
import { ref } from "vue";

/** The window in which anything is found; open or not. */
export const useFind = defineStore("find", () => {
  const shown = ref(false);
  const open = (): void => {
    shown.value = true;
  };
  return { shown, open };
});
