import { tryOnScopeDispose } from "@vueuse/core";
import { shallowRef, watch, type Directive, type ShallowRef } from "vue";
import { useScrolling } from "./use-scrolling";

interface Near {
  /** Keys of the boxes that are near the view. */
  near: ShallowRef<ReadonlySet<string>>;
  /** Put on a box with its key, it is watched as long as it is on the page. */
  vNear: Directive<Element, string>;
}

/** Which of many boxes can be seen, or soon can: one observer for all of them. `margin` is how near, in CSS pixels. */
export function useNear(margin: number): Near {
  const near = shallowRef<ReadonlySet<string>>(new Set());
  const keys = new WeakMap<Element, string>();
  const seen = new Set<string>();
  const isScrolling = useScrolling();
  let isTold = true;

  function tell(): void {
    if (isTold || isScrolling.value) return;
    isTold = true;
    near.value = new Set(seen);
  }
  function change(key: string, isNear: boolean): void {
    if (isNear === seen.has(key)) return;
    if (isNear) seen.add(key);
    else seen.delete(key);
    isTold = false;
  }
  watch(isScrolling, tell);

  const observer = new IntersectionObserver(
    (entries) => {
      for (const { target, isIntersecting } of entries)
        // What has the focus stays, however far one scrolls.
        if (isIntersecting || !target.contains(document.activeElement))
          change(keys.get(target)!, isIntersecting);
      tell();
    },
    { rootMargin: `${margin}px` },
  );
  tryOnScopeDispose(() => observer.disconnect());

  /** What can be seen at once is there with the page, and not only after it was painted without. */
  function isNearNow(box: Element): boolean {
    const { top, bottom } = box.getBoundingClientRect();
    return bottom > -margin && top < window.innerHeight + margin;
  }

  return {
    near,
    vNear: {
      mounted(box, { value }) {
        keys.set(box, value);
        observer.observe(box);
        change(value, isNearNow(box));
        queueMicrotask(tell);
      },
      unmounted(box, { value }) {
        observer.unobserve(box);
        seen.delete(value);
      },
    },
  };
}
