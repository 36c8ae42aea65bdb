import { defineStore } from "pinia";
import { computed, shallowRef } from "vue";
import type { Placement } from "../../../core/placements";
import type { LayoutReport } from "../../../core/preflight";
import { isStrip, slideIds, slidesFor } from "../../../core/strip";
import { usePiece } from "../piece";

type Reports = ReadonlyMap<string, LayoutReport>;

/** How the slides came out that are not worked on, on every size that shows them; the open one is on the wall. */
export const useSlideReports = defineStore("slide-reports", () => {
  const open = usePiece();
  const known = shallowRef<ReadonlyMap<string, Reports>>(new Map());
  const keyOf = (id: string): string => `${open.whole?.id ?? ""} ${id}`;
  const ids = computed(() => (open.whole && isStrip(open.whole) ? slideIds(open.whole) : []));

  /** The slides beside the one that is worked on, in order. */
  const others = computed(() =>
    ids.value.flatMap((id, index) => (index === open.slide ? [] : [{ id, index }])),
  );

  /** Where a slide is shown. */
  const placementsOf = (index: number): Placement[] =>
    open.placements.filter(
      (placement) => open.whole && slidesFor(open.whole, placement).includes(index),
    );

  /** Of one slide by placement; undefined until it is laid out on all that show it. */
  function of(id: string): Reports | undefined {
    const placements = placementsOf(ids.value.indexOf(id));
    const reports = known.value.get(keyOf(id));
    if (!reports || !placements.every((one) => reports.has(one.id))) return undefined;
    return new Map(placements.map((one) => [one.id, reports.get(one.id)!]));
  }

  function tell(id: string, reports: Reports): void {
    // Of pieces that were left nothing is kept.
    const mine = [...known.value].filter(([key]) => key.startsWith(keyOf("")));
    known.value = new Map([...mine, [keyOf(id), reports]]);
  }

  return { others, placementsOf, of, tell };
});
