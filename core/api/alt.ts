import { isPicture, isText, type Piece } from "../piece";
import { plainText } from "../text";

/** What the graphic says and shows, for those who cannot see it: its words in order, then its pictures. */
export function altText(piece: Piece): string {
  const slots = [...new Set(piece.arrangement.flatMap((node) => node.slot ?? []))];
  const fillings = slots.map((slot) => piece.message[slot]);
  const words = fillings.flatMap((f) =>
    isText(f) && f.text.trim() ? [plainText(f.text.trim())] : [],
  );
  const pictures = fillings.flatMap((f) => (isPicture(f) && f.alt ? [f.alt] : []));
  return [...words, ...pictures].map((part) => part.replace(/[.\s]+$/, "")).join(". ");
}
