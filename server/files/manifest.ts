import Papa from "papaparse";
import type { Manifest } from "../../core/api";

/** A manifest as CSV, a row for each file; the values of variations have columns of their own. */
export function manifestTable({ crate, piece, brand, files }: Manifest): string {
  const rows = files.map(({ values = {}, credits, ...file }) => ({
    ...file,
    ...Object.fromEntries(Object.entries(values).map(([column, value]) => [`{${column}}`, value])),
    ...(credits
      ? {
          credits: credits
            .map(({ credit, licence }) => `${credit ?? ""} ${licence ?? ""}`.trim())
            .join("; "),
        }
      : {}),
    crate,
    piece,
    brand,
  }));
  const columns = [...new Set(rows.flatMap(Object.keys))];
  // A cell that a spreadsheet would take for a formula is marked as text.
  return `${Papa.unparse(rows, { columns, escapeFormulae: true })}\r\n`;
}
