import { defineStore } from "pinia";
import { computed, ref, shallowRef } from "vue";
import type { Hex } from "../../core/colour";
import { usePiece } from "./piece";

/** What is picked and shown on the workbench; nothing of it is saved. */
export const useBench = defineStore("bench", () => {
  const open = usePiece();
  const selected = ref<string>();
  const showCovered = ref(false);
  const showAttention = ref(false);
  /** Margins, middle and columns of the large size. */
  const showMargins = ref(false);
  /** The wall as it was before the last change. */
  const showBefore = ref(false);
  /** The selected size, large. */
  const large = ref(false);
  /** The node that a finding points at, on the selected size. */
  const pointed = ref<string>();

  /** Takes the colour that is pressed next on the large size, while one is being chosen so. */
  const pipette = shallowRef<(hex: Hex) => void>();

  /** The sizes in the order in which the wall shows them. */
  const order = ref<string[]>([]);

  const placements = computed(() => {
    const all = new Set(open.placements.map(({ id }) => id));
    const seen = order.value.filter((id) => all.has(id));
    return [...new Set([...seen, ...all])];
  });
  const current = computed(() => {
    const all = placements.value;
    return selected.value && all.includes(selected.value) ? selected.value : open.piece?.lead;
  });

  /** The size that is shown large, if one is. */
  const largeOne = computed(() =>
    large.value ? open.placements.find(({ id }) => id === current.value) : undefined,
  );

  function select(placement: string): void {
    selected.value = placement;
    pointed.value = undefined;
    pipette.value = undefined;
  }

  /** To the next (1) or the previous (-1) size, around the end. */
  function walk(by: 1 | -1): void {
    const all = placements.value;
    const at = all.indexOf(current.value ?? "");
    const next = all[(at + by + all.length) % all.length];
    if (next) select(next);
  }

  function reset(): void {
    selected.value = undefined;
    large.value = false;
    showBefore.value = false;
    pointed.value = undefined;
    pipette.value = undefined;
  }

  return {
    selected,
    showCovered,
    showAttention,
    showMargins,
    showBefore,
    large,
    pointed,
    pipette,
    order,
    current,
    largeOne,
    select,
    walk,
    reset,
  };
});
