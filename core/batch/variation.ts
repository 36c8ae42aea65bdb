import type { Spread } from "../colour";
import type { Edit } from "../edit";
import { isPicture, type Filling, type Piece } from "../piece";
import type { Placement } from "../placements";
import { isStrip, slidesFor } from "../strip";
import { fillingAt, withFillings } from "./slots";
import type { SlotValue } from "./table";

/** What one variation changes in the piece: what is said and shown, by the ids of slots, and its colours. */
export interface Variation {
  message: Record<string, SlotValue>;
  spread?: Spread;
  /** What was changed of it by hand, from how it stands among the others. */
  edit?: Edit;
}

/** The columns of a batch that are no slots. */
export const SPREAD_COLUMN = "spread";

/** The piece with the variation's words, pictures and colours in place of its own; not yet with what was changed by hand. */
export function applyVariation(piece: Piece, { message: changed, spread }: Variation): Piece {
  const fillings: Record<string, Filling> = {};
  for (const [slot, value] of Object.entries(changed)) {
    const own = fillingAt(piece, slot);
    // Another picture has another subject, so what is said of the piece's own does not apply to it.
    const samePicture = isPicture(own) && "picture" in value && own.picture === value.picture;
    fillings[slot] = samePicture ? own : value;
  }
  return { ...withFillings(piece, fillings), ...(spread ? { spread } : {}) };
}

/** The slides of a variation that go to a placement, in order; one of a piece that is no strip. */
export const slidesOf = (piece: Piece, variation: Variation, placement: Placement): number[] =>
  isStrip(piece) ? slidesFor(applyVariation(piece, variation), placement) : [0];

/** How many files variations make on some placements. */
export const countFiles = (
  piece: Piece,
  variations: readonly Variation[],
  placements: readonly Placement[],
): number =>
  isStrip(piece)
    ? placements.reduce(
        (sum, placement) =>
          sum + variations.reduce((n, one) => n + slidesOf(piece, one, placement).length, 0),
        0,
      )
    : variations.length * placements.length;

/** How the values of a variation are called, by column. */
export interface ValueNames {
  column: (slot: string) => string;
  picture: (id: string) => string;
  spread: (spread: Spread) => string;
}

/** What a person tells variations apart by: each column's value in words. */
export function valuesOf(
  { message, spread }: Variation,
  names: ValueNames,
): Record<string, string> {
  const values = Object.fromEntries(
    Object.entries(message).map(([slot, value]) => [
      names.column(slot),
      "text" in value ? value.text : names.picture(value.picture),
    ]),
  );
  return spread ? { ...values, [SPREAD_COLUMN]: names.spread(spread) } : values;
}
