import { readFileSync } from "node:fs";
import { join } from "node:path";
import { gunzipSync } from "node:zlib";

/** The rows of one of Unicode's own test files (version 15.0.0), without comments and empty lines. */
export function unicodeRows(name: string): string[] {
  const bytes = readFileSync(join(import.meta.dirname, `${name}-15.0.0.txt.gz`));
  const lines = gunzipSync(bytes).toString("utf8").split("\n");
  return lines.map((line) => line.replace(/#.*/, "").trim()).filter((line) => line !== "");
}

/** A row like `÷ 0023 × 0308 ÷`: the text, and the UTF-16 places at which it may be parted. */
export function partedRow(row: string): { text: string; places: number[] } {
  const places: number[] = [];
  let text = "";
  for (const token of row.split(/\s+/)) {
    if (token === "÷") places.push(text.length);
    else if (token !== "×") text += String.fromCodePoint(parseInt(token, 16));
  }
  return { text, places };
}
