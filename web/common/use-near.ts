import { tryOnScopeDispose, useDebounceFn } from "@vueuse/core";
import { shallowRef, type Directive, type ShallowRef } from "vue";

/** What is costly is made when scrolling has rested this long, in milliseconds, so that it never holds it up. */
const REST = 60;

interface Near {
  /** Keys of the boxes that are near the view. */
  near: ShallowRef<ReadonlySet<string>>;
  /** Put on a box with its key, it is watched as long as it is on the page. */
  vNear: Directive<Element, string>;
}

/** Which of many boxes can be seen, or soon can: one observer for all of them. `margin` is how near, as in CSS. */
export function useNear(margin: string): Near {
  const near = shallowRef<ReadonlySet<string>>(new Set());
  const keys = new WeakMap<Element, string>();
  const seen = new Set<string>();
  const tell = (): void => void (near.value = new Set(seen));
  const tellSoon = useDebounceFn(tell, REST);

  const observer = new IntersectionObserver(
    (entries) => {
      for (const { target, isIntersecting } of entries) {
        const key = keys.get(target)!;
        if (isIntersecting) seen.add(key);
        // What has the focus stays, however far one scrolls.
        else if (!target.contains(document.activeElement)) seen.delete(key);
      }
      if (near.value.size === 0) tell();
      else void tellSoon();
    },
    { rootMargin: margin },
  );
  tryOnScopeDispose(() => observer.disconnect());

  return {
    near,
    vNear: {
      mounted(box, { value }) {
        keys.set(box, value);
        observer.observe(box);
      },
      unmounted(box, { value }) {
        observer.unobserve(box);
        seen.delete(value);
      },
    },
  };
}
