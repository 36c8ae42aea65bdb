import type { Spread } from "../colour";
import type { Edit } from "../edit";
import type { Piece } from "../piece";
import type { SlotValue } from "./table";

/** What one variation changes in the piece: fillings of its message, and its colours. */
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
  const message = { ...piece.message };
  for (const [slot, value] of Object.entries(changed)) {
    const own = message[slot];
    // Another picture has another subject, so what is said of the piece's own does not apply to it.
    const samePicture =
      own && "picture" in own && "picture" in value && own.picture === value.picture;
    message[slot] = samePicture ? own : value;
  }
  return { ...piece, message, ...(spread ? { spread } : {}) };
}

/** How the values of a variation are called, by column. */
export interface ValueNames {
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
      slot,
      "text" in value ? value.text : names.picture(value.picture),
    ]),
  );
  return spread ? { ...values, [SPREAD_COLUMN]: names.spread(spread) } : values;
}
