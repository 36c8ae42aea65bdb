import iconv from "iconv-lite";
import Papa from "papaparse";
import type { TableAnswer } from "../../core/api";
import { BATCH_LIMITS, Table, tableNote, type TableNote } from "../../core/batch";
import { problem } from "../../core/problem";
import { linesOfJson } from "./json-table";
import { readWorkbook } from "./workbook";

/** Reads a CSV, JSON or XLSX file. Throws `table-unreadable` and `table-empty`. */
export async function readTableFile(bytes: Buffer, name: string): Promise<TableAnswer> {
  if (bytes.subarray(0, 4).equals(ZIP)) {
    const { lines, notes } = await readWorkbook(bytes, name);
    return tableOf(lines, lines.length, notes, name);
  }
  const { text, note } = decode(bytes, name);
  const answer = readTableText(text, name);
  return note ? { ...answer, notes: [note, ...answer.notes] } : answer;
}

const ZIP = Buffer.from([0x50, 0x4b, 0x03, 0x04]);

/** Reads pasted or decoded text: JSON, or commas, semicolons or tabs, whichever it uses. Rows without words are no rows. */
export function readTableText(text: string, name = "The table"): TableAnswer {
  const written = linesOfJson(text, name);
  if (written) {
    const [head, ...rows] = written;
    const said = rows.filter((row) => row.some((cell) => cell.trim() !== ""));
    return tableOf(head ? [head, ...said] : [], said.length + 1, [], name);
  }
  const lines: string[][] = [];
  const notes: TableNote[] = [];
  let count = 0;
  Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), {
    skipEmptyLines: "greedy",
    step: ({ data, errors }) => {
      if (errors.some(({ code }) => code === "MissingQuotes")) refuseOpenQuote(count, name);
      if (errors.some(({ code }) => code === "InvalidQuotes") && count > 0)
        notes.push(tableNote("stray-quote", { row: count }));
      // What cannot be used is counted, and not kept.
      if (count++ <= BATCH_LIMITS.rows) lines.push(data);
    },
  });
  return tableOf(lines, count, notes, name);
}

/** `row` counts from 1 below the headings, which are row 0. */
function refuseOpenQuote(row: number, name: string): never {
  const where = row === 0 ? "in the headings" : `in row ${row}`;
  const why = `a quotation mark that opens a cell ${where} is never closed, so that the rows after it cannot be told apart. Close it, or write it twice if it belongs to the words`;
  throw problem("table-unreadable", { name, why });
}

function tableOf(
  lines: string[][],
  count: number,
  found: readonly TableNote[],
  name: string,
): TableAnswer {
  const [head, ...body] = lines;
  if (!head || body.length === 0) throw problem("table-empty");
  const columns = head.map((cell) => cell.trim());
  if (columns.length > BATCH_LIMITS.columns) {
    const why = `it has ${columns.length} columns, and at most ${BATCH_LIMITS.columns} can be read`;
    throw problem("table-unreadable", { name, why });
  }
  const notes = [...found];
  const rows = body.slice(0, BATCH_LIMITS.rows);
  if (count - 1 > rows.length) {
    notes.push(tableNote("rows-dropped", { count: count - 1, used: rows.length }));
  }
  const read = Table.safeParse({ columns, rows });
  if (!read.success) {
    const [issue] = read.error.issues;
    const [, row] = issue?.path ?? [];
    const where = typeof row === "number" ? `row ${row + 1}: ` : "";
    throw problem("table-unreadable", {
      name,
      why: `${where}${issue?.message ?? "it is too large"}`,
    });
  }
  return { table: read.data, notes };
}

/** UTF-8 and UTF-16 by their marks; what is not valid UTF-8 is taken for Windows-1252, and that is said. */
function decode(bytes: Buffer, name: string): { text: string; note?: TableNote } {
  if (bytes[0] === 0xff && bytes[1] === 0xfe)
    return { text: new TextDecoder("utf-16le").decode(bytes) };
  if (bytes[0] === 0xfe && bytes[1] === 0xff)
    return { text: new TextDecoder("utf-16be").decode(bytes) };
  try {
    return { text: notBinary(new TextDecoder("utf-8", { fatal: true }).decode(bytes), name) };
  } catch (error) {
    if (!(error instanceof TypeError)) throw error;
    return {
      // Not TextDecoder: in some versions of Node it takes the code page for Latin-1, and loses € “ ” and –.
      text: notBinary(iconv.decode(bytes, "windows-1252"), name),
      note: tableNote("encoding", {}),
    };
  }
}

function notBinary(text: string, name: string): string {
  if (/[\u0000-\u0008]/.test(text))
    throw problem("table-unreadable", { name, why: "it is not text" });
  return text;
}
