import { isText, type Piece } from "../piece";
import { batchSlots } from "./slots";
import type { Table } from "./table";

const wordingsOf = (piece: Piece) =>
  batchSlots(piece).flatMap(({ name, filling }) =>
    isText(filling) ? [{ name, text: filling.text, alternatives: filling.alternatives ?? [] }] : [],
  );

/** The names of the slots that other wordings are kept for. */
export const slotsWithAlternatives = (piece: Piece): string[] =>
  wordingsOf(piece).flatMap(({ name, alternatives }) => (alternatives.length > 0 ? [name] : []));

/**
 * What a piece says and its kept alternatives as a table, a column for each slot that has some; what it says now
 * stands in the first row. Columns that are shorter than the longest end in empty cells.
 */
export function tableOfAlternatives(piece: Piece): Table {
  const kept = wordingsOf(piece).filter(({ alternatives }) => alternatives.length > 0);
  const columns = kept.map(({ name }) => name);
  const wordings = kept.map(({ text, alternatives }) => [text, ...alternatives]);
  const longest = Math.max(0, ...wordings.map((all) => all.length));
  const rows = Array.from({ length: longest }, (_, i) => wordings.map((all) => all[i] ?? ""));
  return { columns, rows };
}

/** All that a piece says, as a table to write on. */
export function tableOfWords(piece: Piece): Table {
  const texts = wordingsOf(piece);
  return { columns: texts.map(({ name }) => name), rows: [texts.map(({ text }) => text)] };
}
