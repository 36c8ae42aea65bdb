import Papa from "papaparse";
import { BATCH_LIMITS, type Table } from "./table";

/** Cells of a table that lie together; counted from 0, below the headings. */
export interface Block {
  row: number;
  column: number;
  rows: number;
  columns: number;
}

const TAB = { delimiter: "\t" };

/** The cells as a spreadsheet takes them: tabs between columns, a line for each row. */
export const copied = ({ rows }: Table, { row, column, ...size }: Block): string =>
  Papa.unparse(
    rows.slice(row, row + size.rows).map((cells) => sliceOf(cells, column, size.columns)),
    { ...TAB, newline: "\n" },
  );

/**
 * The table with a block of a spreadsheet in it, from the first cell of `at` on. Rows that are missing come to it; one
 * value fills all of `at`; what would stand right of the last column is left out.
 */
export function pasted(table: Table, at: Block, text: string): Table {
  const cells = Papa.parse<string[]>(text.replace(/\r?\n$/, ""), TAB).data;
  const [first = [""]] = cells;
  const isOne = cells.length === 1 && first.length === 1;
  const block = isOne ? at : { ...at, rows: cells.length, columns: first.length };
  const end = Math.min(block.row + block.rows, BATCH_LIMITS.rows);
  return filled(withRows(table, table.rows.length, end - table.rows.length), block, (row, column) =>
    isOne ? first[0]! : cells[row - at.row]?.[column - at.column],
  );
}

/** The first row of the block in all its rows. */
export const filledDown = (table: Table, block: Block): Table =>
  filled(table, block, (_, column) => table.rows[block.row]?.[column]);

export const cleared = (table: Table, block: Block): Table => filled(table, block, () => "");

export const withCell = (table: Table, row: number, column: number, text: string): Table =>
  filled(table, { row, column, rows: 1, columns: 1 }, () => text);

/** `count` empty rows more, before row `at`; no more than a table may have. */
export function withRows(table: Table, at: number, count: number): Table {
  const most = Math.max(0, Math.min(count, BATCH_LIMITS.rows - table.rows.length));
  const empty = Array.from({ length: most }, () => table.columns.map(() => ""));
  return most === 0 ? table : { ...table, rows: table.rows.toSpliced(at, 0, ...empty) };
}

export const withoutRows = (table: Table, { row, rows }: Block): Table => ({
  ...table,
  rows: table.rows.toSpliced(row, rows),
});

/** Its rows in the order of a column's values, numbers by their value; empty ones last. */
export function sortedBy(table: Table, column: number): Table {
  const { compare } = new Intl.Collator(undefined, { numeric: true });
  const at = (row: string[]): string => row[column]?.trim() ?? "";
  const rows = table.rows.toSorted(
    (a, b) => Number(at(a) === "") - Number(at(b) === "") || compare(at(a), at(b)),
  );
  return { ...table, rows };
}

/** The table with another heading, and so with another slot for its column. */
export const withHeading = (table: Table, column: number, heading: string): Table => ({
  ...table,
  columns: table.columns.with(column, heading),
});

/** Each cell of the block as `valueAt` says; where it says nothing, as it was. */
function filled(
  table: Table,
  block: Block,
  valueAt: (row: number, column: number) => string | undefined,
): Table {
  const rows = table.rows.map((cells, row) => {
    if (row < block.row || row >= block.row + block.rows) return cells;
    return table.columns.map((_, column) => {
      const isIn = column >= block.column && column < block.column + block.columns;
      return (isIn ? valueAt(row, column) : undefined) ?? cells[column] ?? "";
    });
  });
  return { ...table, rows };
}

/** A row may have fewer cells than there are columns. */
const sliceOf = (cells: readonly string[], from: number, count: number): string[] =>
  Array.from({ length: count }, (_, at) => cells[from + at] ?? "");
