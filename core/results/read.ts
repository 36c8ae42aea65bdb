import { tableNote, type Table, type TableNote } from "../batch";
import { problem } from "../problem";
import type { Results } from "./schema";

export interface NamedVariation {
  index: number;
  /** As in file names: “v01”. */
  name: string;
}

/** Which columns count; those not given are found by their headings. */
export interface ResultColumns {
  shown?: string | undefined;
  acted?: string | undefined;
}

/** What is counted as shown, and as acted on, in the headings of reports; the first that is found counts. */
const SHOWN = [/impression/i, /\bshown\b|\bshows\b/i, /view/i, /reach/i, /deliver/i, /sent/i];
const ACTED = [
  /^(link[ _-])?clicks?\b/i,
  /click/i,
  /save/i,
  /swipe/i,
  /conversion|sign.?up|purchase|order/i,
  /engagement|interaction|reaction|like/i,
];
/** Shares and prices are no counts. */
const NO_COUNT = /rate|ctr|%|cost|cp[cm]\b|per /i;

/**
 * Reads how often each variation was shown and acted on. A row is one of the variation's name, or of a file name with
 * it in; the rows of one variation are added up. Throws `results-no-names` and `results-no-counts`.
 */
export function readResults(
  { columns, rows }: Table,
  variations: readonly NamedVariation[],
  chosen: ResultColumns = {},
): { results: Results; notes: TableNote[] } {
  const numberOf = finder(variations);
  const names = columnOfNames(columns, rows, numberOf);
  if (names === undefined)
    throw problem("results-no-names", { example: variations[0]?.name ?? "v1" });
  const shownAt = countColumn(columns, chosen.shown, SHOWN, []);
  const actedAt = countColumn(columns, chosen.acted, ACTED, [shownAt]);
  const notes: TableNote[] = [];
  const counts = new Map<number, { shown: number; acted: number }>();
  for (const [index, row] of rows.entries()) {
    const about = { row: index + 1 };
    const variation = numberOf(row[names] ?? "");
    const [shown, acted] = [countIn(row[shownAt]), countIn(row[actedAt])];
    if (variation === undefined)
      notes.push(tableNote("unknown-variation", { ...about, name: row[names] ?? "" }));
    else if (shown === undefined || acted === undefined) notes.push(tableNote("no-count", about));
    else if (acted > shown) notes.push(tableNote("more-acted", { ...about, shown, acted }));
    else {
      const so = counts.get(variation) ?? { shown: 0, acted: 0 };
      counts.set(variation, { shown: so.shown + shown, acted: so.acted + acted });
    }
  }
  if (counts.size === 0) throw problem("results-no-counts", { columns: columns.join(", ") });
  const results = {
    shown: columns[shownAt]!,
    acted: columns[actedAt]!,
    counts: [...counts].map(([variation, count]) => ({ variation, ...count })),
  };
  return { results, notes };
}

/** The variation that a cell names: by its name alone, or as a part of a file's. */
function finder(variations: readonly NamedVariation[]): (cell: string) => number | undefined {
  const byName = new Map(variations.map(({ name, index }) => [name.toLowerCase(), index]));
  return (cell) => {
    const parts = cell
      .trim()
      .toLowerCase()
      .split(/[^\p{L}\p{N}]+/u);
    const found = parts.map((part) => byName.get(part)).find((index) => index !== undefined);
    return found ?? byName.get(cell.trim().toLowerCase());
  };
}

/** The column in which most cells name a variation. */
function columnOfNames(
  columns: readonly string[],
  rows: Table["rows"],
  numberOf: (cell: string) => number | undefined,
): number | undefined {
  const known = columns.map(
    (_, at) => rows.filter((row) => numberOf(row[at] ?? "") !== undefined).length,
  );
  const most = Math.max(0, ...known);
  return most > 0 ? known.indexOf(most) : undefined;
}

function countColumn(
  columns: readonly string[],
  chosen: string | undefined,
  usual: readonly RegExp[],
  taken: readonly number[],
): number {
  const free = (name: string, at: number) => !taken.includes(at) && !NO_COUNT.test(name);
  const found = chosen
    ? columns.findIndex((name) => name.toLowerCase() === chosen.trim().toLowerCase())
    : usual
        .map((pattern) => columns.findIndex((name, at) => free(name, at) && pattern.test(name)))
        .find((at) => at >= 0);
  if (found === undefined || found < 0)
    throw problem("results-no-counts", { columns: columns.join(", ") });
  return found;
}

/** A whole number, with or without marks between its thousands. */
function countIn(cell = ""): number | undefined {
  const plain = cell
    .trim()
    .replace(/(?<=^\d{1,3}(?:[.,'’\s]\d{3})*)[.,'’\s](?=\d{3}(?:\D|$))/gu, "");
  return /^\d{1,12}$/.test(plain) ? Number(plain) : undefined;
}
