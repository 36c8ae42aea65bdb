import Papa from "papaparse";
import type { TableAnswer } from "../../core/api";
import { BATCH_LIMITS, Table, type TableNote } from "../../core/batch";
import { problem } from "../../core/problem";

/** Reads a CSV or XLSX file. Throws `table-unreadable` and `table-empty`. */
export async function readTableFile(bytes: Buffer, name: string): Promise<TableAnswer> {
  if (bytes.subarray(0, 4).equals(ZIP)) return readWorkbook(bytes, name);
  const { text, note } = decode(bytes, name);
  const answer = readTableText(text, name);
  return note ? { ...answer, notes: [note, ...answer.notes] } : answer;
}

const ZIP = Buffer.from([0x50, 0x4b, 0x03, 0x04]);

/** Reads pasted or decoded text: commas, semicolons or tabs, whichever the text uses. */
export function readTableText(text: string, name = "The table"): TableAnswer {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), { skipEmptyLines: "greedy" });
  return tableOf(data, name);
}

function tableOf(lines: string[][], name: string): TableAnswer {
  const [head, ...body] = lines;
  if (!head || body.length === 0) throw problem("table-empty");
  const columns = head.map((cell) => cell.trim());
  if (columns.length > BATCH_LIMITS.columns) {
    const why = `it has ${columns.length} columns, and at most ${BATCH_LIMITS.columns} can be read`;
    throw problem("table-unreadable", { name, why });
  }
  const notes: TableNote[] = [];
  const rows = body.slice(0, BATCH_LIMITS.rows);
  if (body.length > rows.length) {
    notes.push({
      code: "rows-dropped",
      text: `The table has ${body.length} rows; the first ${rows.length} are used, the rest are not.`,
    });
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
      text: notBinary(new TextDecoder("windows-1252").decode(bytes), name),
      note: {
        code: "encoding",
        text: "The file is not UTF-8; it was read as Windows-1252. If accents look wrong, save it as CSV UTF-8.",
      },
    };
  }
}

function notBinary(text: string, name: string): string {
  if (/[\u0000-\u0008]/.test(text))
    throw problem("table-unreadable", { name, why: "it is not text" });
  return text;
}

/** The first sheet. ExcelJS is large, so it is loaded when a workbook comes. */
async function readWorkbook(bytes: Buffer, name: string): Promise<TableAnswer> {
  const { default: ExcelJS } = await import("exceljs");
  const workbook = new ExcelJS.Workbook();
  try {
    await workbook.xlsx.load(bytes as never);
  } catch {
    throw problem("table-unreadable", { name, why: "it is not a workbook, or is damaged" });
  }
  const [sheet] = workbook.worksheets;
  const lines: string[][] = [];
  sheet?.eachRow((row) => {
    const cells: string[] = [];
    row.eachCell({ includeEmpty: true }, (cell) => cells.push(cell.text.trim()));
    lines.push(cells);
  });
  const width = lines[0]?.length ?? 0;
  // A workbook does not store empty cells at a row's end, so shorter rows are not ragged.
  const padded = lines.map((line) => [
    ...line,
    ...Array<string>(Math.max(0, width - line.length)).fill(""),
  ]);
  return tableOf(padded, name);
}
