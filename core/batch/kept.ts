import { isText, type Piece } from "../piece";
import type { Table } from "./table";

/** The slots of a piece that other wordings are kept for. */
export const slotsWithAlternatives = ({ message }: Piece): string[] =>
  Object.keys(message).filter((slot) => {
    const filling = message[slot];
    return isText(filling) && (filling.alternatives?.length ?? 0) > 0;
  });

/**
 * What a piece says and its kept alternatives as a table, a column for each slot that has some; what it says now
 * stands in the first row. Columns that are shorter than the longest end in empty cells.
 */
export function tableOfAlternatives(piece: Piece): Table {
  const columns = slotsWithAlternatives(piece);
  const wordings = columns.map((slot) => {
    const filling = piece.message[slot];
    return isText(filling) ? [filling.text, ...(filling.alternatives ?? [])] : [];
  });
  const longest = Math.max(0, ...wordings.map((all) => all.length));
  const rows = Array.from({ length: longest }, (_, i) => wordings.map((all) => all[i] ?? ""));
  return { columns, rows };
}

/** All that a piece says, as a table to write on. */
export function tableOfWords(piece: Piece): Table {
  const texts = Object.entries(piece.message).flatMap(([slot, filling]) =>
    isText(filling) ? [{ slot, text: filling.text }] : [],
  );
  return { columns: texts.map(({ slot }) => slot), rows: [texts.map(({ text }) => text)] };
}
