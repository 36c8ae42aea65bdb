import { isPicture, isText, type Piece } from "../piece";
import { isStripSlot } from "../strip";
import { plainText } from "../text";

/** What the graphic says and shows, for those who cannot see it: its words in order, then its pictures. */
export function altText(piece: Piece): string {
  // What has no place in the arrangement is shown all the same.
  const arranged = piece.arrangement.flatMap((node) => node.slot ?? []);
  // What runs through all slides is not said on each; words across folds are said where they begin.
  const begins = new Set(
    piece.arrangement.flatMap(({ slot, strip, kind, box }) =>
      slot && strip === "across" && kind === "text" && box.x >= 0 ? [slot] : [],
    ),
  );
  const slots = [...new Set([...arranged, ...Object.keys(piece.message)])].filter(
    (slot) => begins.has(slot) || !isStripSlot(slot),
  );
  const fillings = slots.map((slot) => piece.message[slot]);
  const words = fillings.flatMap((f) =>
    isText(f) && f.text.trim() ? [plainText(f.text.trim())] : [],
  );
  const pictures = fillings.flatMap((f) => (isPicture(f) && f.alt ? [f.alt] : []));
  return [...words, ...pictures].map((part) => part.replace(/[.\s]+$/, "")).join(". ");
}
