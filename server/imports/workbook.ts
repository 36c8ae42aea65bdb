import type { Cell, CellValue, Row, Workbook, Worksheet } from "exceljs";
import { format } from "numfmt";
import { BATCH_LIMITS, tableNote, type TableNote } from "../../core/batch";
import { problem } from "../../core/problem";
import { measureZip } from "../files/unzip";

/** What a workbook may unpack to; a table with all the rows and columns that can be used takes half. */
const LIMITS = { files: 2000, bytes: 48 * 1024 * 1024 };

/** The rows of a workbook's first sheet, as a person sees them. Throws `table-unreadable`. */
export async function readWorkbook(
  bytes: Buffer,
  name: string,
): Promise<{ lines: string[][]; notes: TableNote[] }> {
  try {
    await measureZip(bytes, LIMITS);
  } catch (error) {
    const why = error instanceof Error ? error.message : "it is damaged";
    throw problem("table-unreadable", { name, why });
  }
  try {
    const sheet = (await load(bytes)).worksheets.find(({ state }) => state === "visible");
    return sheet ? readSheet(sheet) : { lines: [], notes: [] };
  } catch {
    throw problem("table-unreadable", { name, why: "it is not a workbook, or is damaged" });
  }
}

/** ExcelJS is large, so it is loaded when a workbook comes. */
async function load(bytes: Buffer): Promise<Workbook> {
  const { default: ExcelJS } = await import("exceljs");
  const workbook = new ExcelJS.Workbook();
  await workbook.xlsx.load(bytes as never);
  return workbook;
}

function readSheet(sheet: Worksheet): { lines: string[][]; notes: TableNote[] } {
  const lines: string[][] = [];
  const found: Found = { errors: [], dates: [], hidden: 0 };
  sheet.eachRow((row) => {
    // Rows that a filter has put out of sight are not what a person means to use.
    if (row.hidden) found.hidden++;
    else if (lines.length <= BATCH_LIMITS.rows) lines.push(readRow(row, found));
    else lines.push([]);
  });
  const width = lines[0]?.length ?? 0;
  // A workbook does not store empty cells at a row's end, so shorter rows are not ragged.
  for (const line of lines) while (line.length < width) line.push("");
  return { lines, notes: notesOf(found) };
}

/** What a person should know of cells, by their addresses. */
interface Found {
  errors: string[];
  dates: string[];
  hidden: number;
}

function readRow(row: Row, found: Found): string[] {
  const cells: string[] = [];
  row.eachCell({ includeEmpty: true }, (cell) => cells.push(shown(cell, found).trim()));
  return cells;
}

/** What stands in a cell: its value in the sheet's own number format, and nothing where a formula has failed. */
function shown(cell: Cell, found: Found): string {
  if (cell.isMerged && cell.master !== cell) return "";
  const { value } = cell;
  const result = resultOf(value);
  if (typeof result === "object" && result !== null && "error" in result) {
    found.errors.push(`${cell.address} (${result.error})`);
    return "";
  }
  if (result instanceof Date) return dateOf(result, cell, found);
  // Where the list of words does not have a cell's, its number in the list is left.
  if (typeof value === "number" && cell.type === WORDS) throw new Error("words are missing");
  if (typeof result === "number") return formatted(cell.numFmt || "General", result, cell);
  if (typeof result === "boolean") return result ? "TRUE" : "FALSE";
  return typeof result === "string" ? result : cell.text;
}

/** What a formula has come to; any other value is its own. */
const resultOf = (value: CellValue): CellValue =>
  typeof value === "object" && value && "result" in value ? (value.result ?? null) : value;

/** ExcelJS's number for a cell of words. */
const WORDS = 3;

/** Formats that stand for the reader's own way of writing dates, which the file does not tell; ECMA-376 Part 1, § 18.8.30. */
const SYSTEM_DATES: Record<string, string> = {
  "mm-dd-yy": "yyyy-mm-dd",
  "m/d/yy h:mm": "yyyy-mm-dd hh:mm",
  'm/d/yy "h":mm': "yyyy-mm-dd hh:mm",
};
const DAY = 86_400_000;
/** 1 January 1970 in a workbook's days. */
const EPOCH = 25_569;

function dateOf(date: Date, cell: Cell, found: Found): string {
  const plain = SYSTEM_DATES[cell.numFmt ?? ""];
  if (plain) found.dates.push(cell.address);
  return formatted(plain ?? cell.numFmt, date.getTime() / DAY + EPOCH, cell);
}

function formatted(pattern: string, value: number, cell: Cell): string {
  try {
    return format(pattern, value);
  } catch {
    return cell.text;
  }
}

const MOST_NAMED = 5;

function notesOf({ errors, dates, hidden }: Found): TableNote[] {
  const notes: TableNote[] = [];
  const named = (cells: string[]) => {
    const more = cells.length - MOST_NAMED;
    return cells.slice(0, MOST_NAMED).join(", ") + (more > 0 ? ` and ${more} more` : "");
  };
  if (errors.length > 0) notes.push(tableNote("cell-error", { cells: named(errors) }));
  if (dates.length > 0) notes.push(tableNote("system-date", { cells: named(dates) }));
  if (hidden > 0) notes.push(tableNote("hidden-rows", { count: hidden }));
  return notes;
}
