import { z } from "zod";
import { BATCH_LIMITS } from "../../core/batch";
import { problem } from "../../core/problem";

const Cell = z
  .union([z.string(), z.number(), z.boolean(), z.null()], "a cell is words, a number or nothing")
  .transform((cell) => (cell === null ? "" : String(cell)));

/** Rows as objects by heading, as lists under a first row of headings, or as this program writes a table. */
const Rows = z.union([
  z.array(z.record(z.string(), Cell)),
  z.array(z.array(Cell)),
  z
    .object({ columns: z.array(z.string()), rows: z.array(z.array(Cell)) })
    .transform(({ columns, rows }) => [columns, ...rows]),
]);

const isJson = (text: string): boolean => /^\s*[[{]/.test(text);

/**
 * The lines of a table that is JSON, the headings first; undefined of other text. Throws `table-unreadable` for a JSON file that
 * is none, or holds no rows.
 */
export function linesOfJson(text: string, name: string): string[][] | undefined {
  if (!isJson(text)) return undefined;
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    if (!name.toLowerCase().endsWith(".json")) return undefined;
    throw problem("table-unreadable", { name, why: "it is not valid JSON" });
  }
  const read = Rows.safeParse(value);
  if (!read.success) throw problem("table-unreadable", { name, why: NO_ROWS });
  return isLists(read.data) ? read.data : linesOfObjects(read.data);
}

const NO_ROWS =
  "it is JSON, but no list of rows. Give a list of objects, each with words or numbers by the names of columns";

const isLists = (rows: readonly (string[] | Record<string, string>)[]): rows is string[][] =>
  rows.every((row) => Array.isArray(row));

function linesOfObjects(rows: readonly Record<string, string>[]): string[][] {
  const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))];
  const used = columns.slice(0, BATCH_LIMITS.columns + 1);
  return [used, ...rows.map((row) => used.map((column) => row[column] ?? ""))];
}
