import type { Piece } from "./piece";

/** A piece that starts from another: the same design under a new id and name, the original untouched. */
export const copyPiece = (piece: Piece, id: string, title: string): Piece => ({
  ...structuredClone(piece),
  id,
  title,
  origin: { kind: "piece", id: piece.id, name: piece.title },
});

/** A title that is not in `taken`: the wanted one, or the wanted one with the next free number. */
export function freeTitle(wanted: string, taken: readonly string[]): string {
  if (!taken.includes(wanted)) return wanted;
  const stem = wanted.replace(/ \d+$/, "");
  for (let number = 2; ; number++) {
    const title = `${stem} ${number}`;
    if (!taken.includes(title)) return title;
  }
}
