import { createSharedComposable, useEventListener, useTimeoutFn } from "@vueuse/core";
import { shallowRef } from "vue";

/** What is costly is made when scrolling has rested this long, in milliseconds, so that it never holds it up. */
const REST = 60;

/** Whether something on the page is being scrolled. */
export const useScrolling = createSharedComposable(() => {
  const isScrolling = shallowRef(false);
  const { start } = useTimeoutFn(() => (isScrolling.value = false), REST, { immediate: false });
  const moved = (): void => {
    isScrolling.value = true;
    start();
  };
  useEventListener(document, "scroll", moved, { capture: true, passive: true });
  return isScrolling;
});
