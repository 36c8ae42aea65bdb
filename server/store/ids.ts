import { sql } from "drizzle-orm";
import { freeId, Id } from "../../core/id";
import type { Transaction } from "./database";

/*
 * Documents and placements could once come in under any id. What is no part of a file's name is called otherwise at the
 * start, wherever it stands. Finished files of batches, and what tells of them, keep their names.
 */

/** Columns that hold an id, each with where it is defined or used. */
const COLUMNS = [
  ["brands", "id"],
  ["brand_versions", "brand"],
  ["crates", "id"],
  ["crates", "brand"],
  ["files", "brand"],
  ["pieces", "id"],
  ["pieces", "crate"],
  ["edits", "piece"],
  ["batches", "piece"],
  ["deliveries", "piece"],
  ["templates", "id"],
  ["placements", "id"],
] as const;

/** Columns of JSON; in `root` ones the document's own id is one too. */
const DOCUMENTS = [
  { table: "brands", column: "document", root: true },
  { table: "brand_versions", column: "document", root: true },
  { table: "pieces", column: "document", root: true },
  { table: "templates", column: "document", root: true },
  { table: "placements", column: "document", root: true },
  { table: "edits", column: "edit", root: false },
  { table: "batches", column: "brand", root: true },
  { table: "deliveries", column: "document", root: true },
  { table: "deliveries", column: "brand", root: true },
] as const;

type Better = (id: string) => string;

export async function mendIds(tx: Transaction): Promise<void> {
  const better = await betterIds(tx);
  // An id and what refers to it are changed one after another.
  await tx.run(sql`PRAGMA defer_foreign_keys = ON`);
  for (const [table, column] of COLUMNS)
    for (const id of await valuesOf(tx, table, column))
      if (!isId(id)) await put(tx, table, column, id, better(id));
  for (const { table, column, root } of DOCUMENTS)
    for (const stored of await valuesOf(tx, table, column)) {
      const was: unknown = JSON.parse(stored);
      const mended = JSON.stringify(mend(was, better, root));
      if (mended !== JSON.stringify(was)) await put(tx, table, column, stored, mended);
    }
}

/** A way from each id to a better one that nothing else has. */
async function betterIds(tx: Transaction): Promise<Better> {
  const taken = new Set<string>();
  for (const [table, column] of COLUMNS)
    for (const id of await valuesOf(tx, table, column)) taken.add(id);
  const known = new Map<string, string>();
  return (id) => {
    let made = isId(id) ? id : known.get(id);
    if (made === undefined) {
      made = freeId(id, taken);
      taken.add(made);
      known.set(id, made);
    }
    return made;
  };
}

const isId = (id: string): boolean => Id.safeParse(id).success;

async function valuesOf(tx: Transaction, table: string, column: string): Promise<string[]> {
  const name = sql.identifier(column);
  const rows = await tx.all<{ value: string }>(
    sql`SELECT DISTINCT ${name} AS value FROM ${sql.identifier(table)} WHERE ${name} IS NOT NULL`,
  );
  return rows.map(({ value }) => value);
}

function put(tx: Transaction, table: string, column: string, was: string, value: string) {
  const name = sql.identifier(column);
  return tx.run(sql`UPDATE ${sql.identifier(table)} SET ${name} = ${value} WHERE ${name} = ${was}`);
}

/** Fields that name a document or a placement wherever they stand; words of a message are never plain strings. */
const NAMING: ReadonlySet<string> = new Set(["brand", "lead", "placement"]);

/** A stored document with better ids; `named` where its own id is one. */
function mend(value: unknown, better: Better, named: boolean): unknown {
  if (Array.isArray(value)) return value.map((one) => mend(one, better, false));
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]): [string, unknown] => {
      if (typeof inner === "string" && (NAMING.has(key) || (named && key === "id")))
        return [key, better(inner)];
      if (key === "shown" && typeof inner === "object" && inner !== null)
        return [key, keysMended(inner, better)];
      return [key, mend(inner, better, key === "own")];
    }),
  );
}

/** How each placement was laid out, by its id. */
const keysMended = (shown: object, better: Better): object =>
  Object.fromEntries(Object.entries(shown).map(([id, layout]) => [better(id), layout]));
