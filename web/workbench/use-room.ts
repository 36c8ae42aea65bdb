import { useElementSize, useParentElement } from "@vueuse/core";
import { reactive, type Ref } from "vue";

interface Room {
  width: number;
  height: number;
}

/** CSS pixels of a step in the middle of the workbench that are seen: what stands in it may be higher. */
export function useRoom(step: Readonly<Ref<HTMLElement | null>>): Room {
  const { width } = useElementSize(step);
  const { height } = useElementSize(useParentElement(step));
  return reactive({ width, height });
}
