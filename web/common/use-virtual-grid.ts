import { useWindowVirtualizer } from "@tanstack/vue-virtual";
import { useResizeObserver } from "@vueuse/core";
import { computed, shallowRef, type ComputedRef, type Ref } from "vue";

interface Options<T> {
  items: () => readonly T[];
  /** The grid. */
  box: Readonly<Ref<HTMLElement | null>>;
  /** CSS pixels: the least width of a cell, and the height of all; the gaps between columns and rows. */
  cell: { width: number; height: number };
  gap: { columns: number; rows: number };
}

interface VirtualGrid<T> {
  columns: ComputedRef<number>;
  /** The cells that can be seen or soon can, each with its place among all, from 1. */
  shown: ComputedRef<{ item: T; place: number }[]>;
  /** CSS pixels that the rows above and below them take. */
  before: ComputedRef<number>;
  after: ComputedRef<number>;
}

/** A grid of equal cells on a page that scrolls, of which only those in view are made. */
export function useVirtualGrid<T>({ items, box, cell, gap }: Options<T>): VirtualGrid<T> {
  const width = shallowRef(0);
  /** Where the grid begins on the page; asked for when it or what it stands in has another size, and not at each scroll. */
  const begins = shallowRef(0);
  const page = computed(() => box.value?.closest("main"));
  useResizeObserver([box, page], () => {
    if (!box.value) return;
    const { top, width: wide } = box.value.getBoundingClientRect();
    width.value = wide;
    begins.value = Math.round(top + window.scrollY);
  });
  const columns = computed(() =>
    Math.max(1, Math.floor((width.value + gap.columns) / (cell.width + gap.columns))),
  );
  const rows = useWindowVirtualizer(
    computed(() => ({
      count: Math.ceil(items().length / columns.value),
      estimateSize: () => cell.height,
      gap: gap.rows,
      overscan: 3,
      scrollMargin: begins.value,
    })),
  );
  const inView = computed(() => rows.value.getVirtualItems());
  const margin = computed(() => rows.value.options.scrollMargin);
  return {
    columns,
    shown: computed(() =>
      inView.value.flatMap(({ index }) => {
        const first = index * columns.value;
        return items()
          .slice(first, first + columns.value)
          .map((item, at) => ({ item, place: first + at + 1 }));
      }),
    ),
    before: computed(() => (inView.value[0]?.start ?? margin.value) - margin.value),
    after: computed(() => {
      const last = inView.value.at(-1);
      return last ? rows.value.getTotalSize() - (last.end - margin.value) : 0;
    }),
  };
}
