import { defineStore } from "pinia";
import { computed, ref } from "vue";

/** Pieces that are chosen on the crates' page, to do something with all of them. */
export const useSelection = defineStore("selection", () => {
  const chosen = ref<ReadonlySet<string>>(new Set());
  /** The last that was chosen by itself: with Shift, all between it and the next are. */
  let last: string | undefined;

  const count = computed(() => chosen.value.size);
  const has = (id: string): boolean => chosen.value.has(id);

  function toggle(id: string): void {
    const next = new Set(chosen.value);
    if (!next.delete(id)) next.add(id);
    chosen.value = next;
    last = id;
  }

  /** `order` is how they stand on the page. */
  function toggleTo(id: string, order: readonly string[]): void {
    const [from, to] = [order.indexOf(last ?? id), order.indexOf(id)];
    if (from < 0 || to < 0 || from === to) return toggle(id);
    const between = order.slice(Math.min(from, to), Math.max(from, to) + 1);
    chosen.value = new Set([...chosen.value, ...between]);
    last = id;
  }

  function clear(): void {
    chosen.value = new Set();
    last = undefined;
  }

  /** What is not there any more is not chosen. */
  function keep(there: ReadonlySet<string>): void {
    const next = [...chosen.value].filter((id) => there.has(id));
    if (next.length < chosen.value.size) chosen.value = new Set(next);
  }

  return { chosen, count, has, toggle, toggleTo, clear, keep };
});
