import { useEventListener, usePointerSwipe } from "@vueuse/core";
import { shallowRef, type Ref } from "vue";

/** A flick goes on for so long at the speed that it had, in milliseconds. */
const GLIDE = 160;
/** CSS pixels that a hand may move and still has only pressed. */
const STILL = 4;

/** Lets a mouse swipe a row of slides as a finger does, which the browser does of itself for fingers only. */
export function useMouseSwipe(
  row: Readonly<Ref<HTMLElement | null>>,
  width: number,
): { isLoose: Ref<boolean> } {
  /** While it is held or glides, it does not snap to a slide. */
  const isLoose = shallowRef(false);
  let from = 0;
  let last = { x: 0, at: 0 };
  let speed = 0;

  const { distanceX, isSwiping } = usePointerSwipe(row, {
    pointerTypes: ["mouse"],
    threshold: STILL,
    disableTextSelect: true,
    onSwipeStart(event) {
      isLoose.value = true;
      from = row.value?.scrollLeft ?? 0;
      last = { x: event.clientX, at: event.timeStamp };
      speed = 0;
    },
    onSwipe(event) {
      const passed = event.timeStamp - last.at;
      if (passed > 0) speed = (last.x - event.clientX) / passed;
      last = { x: event.clientX, at: event.timeStamp };
      if (row.value) row.value.scrollLeft = from + distanceX.value;
    },
    /** To the slide that it would glide to, and no further than to the next. */
    onSwipeEnd() {
      const start = Math.round(from / width);
      const glides = Math.round((from + distanceX.value + GLIDE * speed) / width);
      const left = width * Math.min(start + 1, Math.max(start - 1, glides));
      row.value?.scrollTo({ left, behavior: "smooth" });
      if (row.value?.scrollLeft === left) isLoose.value = false;
    },
  });
  useEventListener(row, "scrollend", () => (isLoose.value &&= isSwiping.value));
  return { isLoose };
}
