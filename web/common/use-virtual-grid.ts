import { useWindowVirtualizer } from "@tanstack/vue-virtual";
import { useResizeObserver } from "@vueuse/core";
import { computed, shallowRef, type ComputedRef, type Ref } from "vue";

interface Options<T> {
  items: () => readonly T[];
  /** The grid. It is as high as `height` says, and what its cells are placed in. */
  box: Readonly<Ref<HTMLElement | null>>;
  /** CSS pixels: the width of a cell, and the height of all; the gaps between columns and rows. */
  cell: { width: number; height: number };
  gap: { columns: number; rows: number };
  /** Cells become wider until a row is full. */
  fill?: boolean;
}

interface Cell<T> {
  item: T;
  /** Its place among all, from 1. */
  place: number;
  /** Where it stands. Each is placed by itself, so that one that comes or goes moves no other. */
  style: Record<"position" | "transform" | "width" | "height", string>;
}

interface VirtualGrid<T> {
  /** The cells that can be seen or soon can. */
  shown: ComputedRef<Cell<T>[]>;
  /** Of all rows, in CSS. */
  height: ComputedRef<string>;
}

/** A grid of equal cells on a page that scrolls, of which only those in view are made. */
export function useVirtualGrid<T>({ items, box, cell, gap, fill }: Options<T>): VirtualGrid<T> {
  const wide = shallowRef(0);
  /** Where the grid begins on the page; asked for when it or what it stands in has another size, and not at each scroll. */
  const begins = shallowRef(0);
  const page = computed(() => box.value?.closest("main"));
  useResizeObserver([box, page], () => {
    if (!box.value) return;
    const { top, width } = box.value.getBoundingClientRect();
    wide.value = width;
    begins.value = Math.round(top + window.scrollY);
  });
  const columns = computed(() =>
    Math.max(1, Math.floor((wide.value + gap.columns) / (cell.width + gap.columns))),
  );
  const width = computed(() =>
    fill ? (wide.value + gap.columns) / columns.value - gap.columns : cell.width,
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
  const rowAt = (y: number): Cell<T>["style"][] =>
    Array.from({ length: columns.value }, (_, column) => ({
      position: "absolute",
      transform: `translate(${column * (width.value + gap.columns)}px, ${y}px)`,
      width: `${width.value}px`,
      height: `${cell.height}px`,
    }));
  return {
    shown: computed(() =>
      rows.value.getVirtualItems().flatMap(({ index, start }) => {
        const first = index * columns.value;
        const styles = rowAt(start - rows.value.options.scrollMargin);
        return items()
          .slice(first, first + columns.value)
          .map((item, at) => ({ item, place: first + at + 1, style: styles[at]! }));
      }),
    ),
    height: computed(() => `${rows.value.getTotalSize()}px`),
  };
}
