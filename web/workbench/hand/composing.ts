import { computed, shallowRef, watch, type Ref } from "vue";
import { completed } from "../../../core/completion";
import type { Piece } from "../../../core/piece";
import type { Placement } from "../../../core/placements";
import type { LayoutReport } from "../../../core/preflight";
import { slideOf } from "../../../core/strip";
import { api } from "../../api/client";
import { useToasts } from "../../common/toasts";
import { usePiece } from "../piece";

export type Change = (piece: Piece, at: Placement) => Piece;

/**
 * The piece as a hand takes hold of it on a size. A lead that is laid out anew for its words, or stands as its set does, is
 * composed so before something in it is moved; what is changed meanwhile is changed when that is done.
 */
export function useComposing(
  placement: Ref<Placement | undefined>,
  isLead: Ref<boolean>,
  report: Ref<LayoutReport | undefined>,
) {
  const open = usePiece();
  const toasts = useToasts();
  const composed = shallowRef<{ of: Piece; as: Piece }>();
  const waiting: Change[] = [];

  const isComposed = computed(
    () =>
      !isLead.value ||
      !report.value ||
      (report.value.layout.kind === "as-arranged" && report.value.set !== "stands"),
  );
  /** None while it is being composed. */
  const base = computed(() => {
    const { piece } = open;
    if (!piece || isComposed.value) return piece && completed(piece);
    return composed.value?.of === piece ? composed.value.as : undefined;
  });
  watch([() => open.piece, isComposed], async ([piece, done]) => {
    if (!piece || done) return;
    try {
      await open.save();
      const as = slideOf(await api.withLead(piece.id, piece.lead), open.slide);
      if (open.piece === piece) composed.value = { of: piece, as };
    } catch (error) {
      toasts.fail(error);
    }
  });

  function make(change: Change): void {
    const [piece, at] = [base.value, placement.value];
    if (piece && at) open.become(change(piece, at));
    else waiting.push(change);
  }
  watch(base, (piece) => {
    const at = placement.value;
    if (piece && at && waiting.length > 0)
      open.become(waiting.splice(0).reduce((done, change) => change(done, at), piece));
  });
  /** What is waited for is of another size. */
  const forget = (): void => void (waiting.length = 0);

  return { base, isComposed, make, forget };
}
