import { useEventListener } from "@vueuse/core";
import { computed, nextTick, ref, watch, type ComputedRef, type Ref } from "vue";
import { centre, type Box, type Point } from "../../../core/geometry";
import { cssPerPixel, type Placement } from "../../../core/placements";

/** CSS pixels around the frame, for what hangs over it and its handles. */
const AROUND = 26;
/** One step nearer or farther. */
const STEP = 1.25;
const LEAST = 0.05;
const MOST = 4;
/** No frame is painted with more pixels than this. */
const MOST_PAINTED = 16e6;
/** What is zoomed to leaves this share of the view around it. */
const AIR = 0.25;

interface Options {
  view: Readonly<Ref<HTMLElement | null>>;
  placement: () => Placement;
  /** What is seen at once, in CSS pixels. */
  room: () => { width: number; height: number };
}

export interface Zoom {
  /** CSS pixels for each output pixel. */
  scale: ComputedRef<number>;
  isFit: ComputedRef<boolean>;
  fit(): void;
  /** A pixel for a pixel, or so large as on a phone. */
  actual(): void;
  asSeen(): void;
  nearer(): void;
  farther(): void;
  /** As large as a box of the frame allows, which comes to the middle. */
  to(box: Box): void;
}

/** How near one looks at a size, and which part of it is in view: zoomed by buttons, keys and Ctrl with the wheel, moved with the space bar or the middle button. */
export function useZoom({ view, placement, room }: Options): Zoom {
  const chosen = ref<number>();
  watch(
    () => placement().id,
    () => (chosen.value = undefined),
  );

  const fitting = computed(() => {
    const { width, height } = placement();
    const { width: wide, height: high } = room();
    return Math.max(LEAST, Math.min((wide - 2 * AROUND) / width, (high - 2 * AROUND) / height, 1));
  });
  const most = computed(() => {
    const { width, height } = placement();
    return Math.min(MOST, Math.sqrt(MOST_PAINTED / (width * height)));
  });
  const scale = computed(() =>
    chosen.value === undefined
      ? fitting.value
      : Math.max(LEAST, Math.min(chosen.value, most.value)),
  );

  /** The frame's point that stands at a place of the view, both in CSS pixels from its corner. */
  function pointAt(at: Point): Point {
    const { scrollLeft, scrollTop } = view.value!;
    const { x, y } = cornerIn();
    return { x: (at.x + scrollLeft - x) / scale.value, y: (at.y + scrollTop - y) / scale.value };
  }

  /** Where the frame's corner stands in what is scrolled. */
  function cornerIn(): Point {
    const { clientWidth, clientHeight } = view.value!;
    const { width, height } = placement();
    return {
      x: Math.max(AROUND, (clientWidth - width * scale.value) / 2),
      y: Math.max(AROUND, (clientHeight - height * scale.value) / 2),
    };
  }

  /** Zooms, and leaves a point of the frame at a place of the view. */
  async function zoom(to: number | undefined, point?: Point, at?: Point): Promise<void> {
    const { value: of } = view;
    const place = at ?? (of && { x: of.clientWidth / 2, y: of.clientHeight / 2 });
    const kept = point ?? (place && pointAt(place));
    chosen.value = to;
    await nextTick();
    if (!of || !place || !kept) return;
    const { x, y } = cornerIn();
    of.scrollLeft = kept.x * scale.value + x - place.x;
    of.scrollTop = kept.y * scale.value + y - place.y;
  }

  useEventListener(
    view,
    "wheel",
    (event: WheelEvent) => {
      if (!event.ctrlKey) return;
      event.preventDefault();
      const { left, top } = view.value!.getBoundingClientRect();
      const at = { x: event.clientX - left, y: event.clientY - top };
      void zoom(scale.value * Math.exp(-event.deltaY / 300), pointAt(at), at);
    },
    { passive: false },
  );
  usePan(view);

  return {
    scale,
    isFit: computed(() => chosen.value === undefined),
    fit: () => void zoom(undefined),
    actual: () => void zoom(1),
    asSeen: () => void zoom(cssPerPixel(placement())),
    nearer: () => void zoom(scale.value * STEP),
    farther: () => void zoom(scale.value / STEP),
    to(box) {
      const { width, height } = room();
      const by = 1 - AIR;
      void zoom(Math.min((by * width) / box.width, (by * height) / box.height), centre(box));
    },
  };
}

/** With the space bar held, or the middle button, what is in view is moved like paper. */
function usePan(view: Readonly<Ref<HTMLElement | null>>): void {
  let spaceHeld = false;
  let last: Point | undefined;
  const isTyping = ({ target }: Event): boolean =>
    target instanceof HTMLElement && target.matches("input, textarea, [contenteditable], button");
  useEventListener("keydown", (event: KeyboardEvent) => {
    if (event.key !== " " || isTyping(event)) return;
    spaceHeld = true;
    event.preventDefault();
  });
  useEventListener("keyup", (event: KeyboardEvent) => {
    if (event.key === " ") spaceHeld = false;
  });
  useEventListener(
    view,
    "pointerdown",
    (event: PointerEvent) => {
      if (event.button !== 1 && !(event.button === 0 && spaceHeld)) return;
      event.preventDefault();
      event.stopPropagation();
      view.value!.setPointerCapture(event.pointerId);
      last = { x: event.clientX, y: event.clientY };
    },
    { capture: true },
  );
  useEventListener(view, "pointermove", (event: PointerEvent) => {
    if (!last) return;
    view.value!.scrollLeft -= event.clientX - last.x;
    view.value!.scrollTop -= event.clientY - last.y;
    last = { x: event.clientX, y: event.clientY };
  });
  useEventListener(view, ["pointerup", "pointercancel"], () => (last = undefined));
}
