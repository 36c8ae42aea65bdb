import type { Client, Row } from "@libsql/client";
import type { ZodType } from "zod";
import { Brand } from "../../core/brand";
import { Edit } from "../../core/edit";
import { Piece } from "../../core/piece";
import { Placement } from "../../core/placements";
import { Template } from "../../core/templates";
import { PutAway } from "./tables";

/** The columns of JSON by table, each with what it has to be. */
const DOCUMENTS: [table: string, columns: Record<string, ZodType>][] = [
  ["brands", { document: Brand }],
  ["brand_versions", { document: Brand }],
  ["pieces", { document: Piece }],
  ["templates", { document: Template }],
  ["placements", { document: Placement }],
  ["put_away", { kept: PutAway }],
  ["batches", { document: Piece, brand: Brand }],
  ["edits", { edit: Edit }],
  ["deliveries", { document: Piece.nullable(), brand: Brand.nullable() }],
];

/** A row that could not be read. */
export interface SetAside {
  table: string;
  id: string;
  why: string;
}

/**
 * Takes rows that cannot be read out of their tables, and keeps them as they are in one of their own: one bad row would else
 * be an error wherever a list with it is asked for. What belongs to such a row, like the history of a piece, stays for when
 * it is put back. `client` must not hold tables to their references.
 */
export async function setAsideUnreadable(client: Client, now: Date): Promise<SetAside[]> {
  const found: SetAside[] = [];
  for (const [table, columns] of DOCUMENTS) {
    const { rows } = await client.execute(`SELECT rowid AS rowid_, * FROM ${table}`);
    for (const { rowid_, ...row } of rows) {
      const why = whyUnreadable(row as Row, columns);
      if (why === undefined) continue;
      await client.batch(
        [
          {
            sql: "INSERT INTO set_aside (source, row, why, created) VALUES (?, ?, ?, ?)",
            args: [table, JSON.stringify(row), why, now.toISOString()],
          },
          { sql: `DELETE FROM ${table} WHERE rowid = ?`, args: [rowid_!] },
        ],
        "write",
      );
      found.push({ table, id: String(row.id ?? row.brand), why });
    }
  }
  return found;
}

function whyUnreadable(row: Row, columns: Record<string, ZodType>): string | undefined {
  for (const [column, schema] of Object.entries(columns)) {
    const stored = row[column];
    try {
      const read = schema.safeParse(stored === null ? null : JSON.parse(String(stored)));
      const [issue] = read.error?.issues ?? [];
      if (issue) return `${[column, ...issue.path].join(".")}: ${issue.message}`;
    } catch {
      return `${column}: it is no JSON`;
    }
  }
  return undefined;
}
