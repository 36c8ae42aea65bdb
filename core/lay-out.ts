import type { Brand } from "./brand";
import { choose, isAsArranged, NOTHING_DECIDED } from "./choice";
import type { Piece } from "./piece";
import type { Placement } from "./placements";
import { inSuitedFrames, recomposed, type CostTerms, type Layout } from "./refit";
import { resolve, type Sources } from "./resolve";
import { shownAt } from "./strip";

/** A piece by itself as a placement shows it. */
export const layOut = (
  piece: Piece,
  brand: Brand,
  placement: Placement,
  sources: Sources,
): Layout => choose(resolve(shownAt(piece, placement), brand, placement.id, sources), placement);

/** A piece whose lead is fitted to its words. */
export interface FittedLead {
  piece: Piece;
  layout: Layout;
  /** What its lead cost when it was laid out; nothing where it stands as it was composed. */
  cost: CostTerms;
}

/**
 * Fits a piece that was made from a template, whose lead was composed for other words: where these break a rule there,
 * the lead is laid out anew for them; pictures go to the frames that suit them.
 */
export function layOutLead(
  given: Piece,
  brand: Brand,
  placement: Placement,
  sources: Sources,
): FittedLead {
  const piece = inSuitedFrames(resolve(given, brand, placement.id, sources));
  const asComposed = resolve(piece, brand, placement.id, sources);
  const layout = choose(asComposed, placement, { decided: NOTHING_DECIDED });
  if (isAsArranged(layout)) return { piece, layout, cost: layout.cost };
  const fitted = recomposed(asComposed.piece, layout);
  return { piece: fitted, cost: layout.cost, layout: layOut(fitted, brand, placement, sources) };
}
