import { isText, type Piece } from "../piece";

/** The slots of a message that hold words. */
export const wordSlots = ({ message }: Pick<Piece, "message">): string[] =>
  Object.entries(message).flatMap(([slot, filling]) =>
    isText(filling) && filling.text.trim() !== "" ? [slot] : [],
  );

/** Those of them that have a node among the given ones. A price counts with its figure. */
export function shownSlots(
  piece: Pick<Piece, "message" | "arrangement">,
  isShown: (node: string) => boolean,
): string[] {
  const shown = new Set(
    piece.arrangement.flatMap(({ id, slot, part = "figure" }) =>
      slot !== undefined && part === "figure" && isShown(id) ? [slot] : [],
    ),
  );
  return wordSlots(piece).filter((slot) => shown.has(slot));
}
