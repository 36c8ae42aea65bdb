import { sql } from "drizzle-orm";
import { fromOlderEdit, type Edit } from "../../core/edit";
import { shownWithIds, withLayoutIds } from "../../core/piece";
import type { Transaction } from "./database";
import { mendIds } from "./ids";

/** What is done to the contents of a database that was written before, in order; each once, by the database's own version. */
const STEPS: ((tx: Transaction) => Promise<void>)[] = [mendIds, sayEditsAnew, giveLayoutsIds];

export async function bringUpToDate(tx: Transaction): Promise<void> {
  const { user_version: version } = await tx.get<{ user_version: number }>(
    sql`PRAGMA user_version`,
  );
  for (const step of STEPS.slice(version)) await step(tx);
  if (version < STEPS.length) await tx.run(sql.raw(`PRAGMA user_version = ${STEPS.length}`));
}

/** Histories in small changes; a step that changed nothing, or that nobody can read, goes. */
async function sayEditsAnew(tx: Transaction): Promise<void> {
  const rows = await tx.all<{ id: number; edit: string }>(sql`SELECT id, edit FROM edits`);
  for (const { id, edit } of rows) {
    const now = readable(edit);
    if (now) await tx.run(sql`UPDATE edits SET edit = ${JSON.stringify(now)} WHERE id = ${id}`);
    else await tx.run(sql`DELETE FROM edits WHERE id = ${id}`);
  }
}

function readable(stored: string): Edit | undefined {
  try {
    return fromOlderEdit(JSON.parse(stored));
  } catch {
    return undefined;
  }
}

/** Columns of JSON that hold a piece, or how one was laid out. */
const WITH_LAYOUTS: [table: string, column: string, make: (value: unknown) => unknown][] = [
  ["pieces", "document", withLayoutIds],
  ["batches", "document", withLayoutIds],
  ["deliveries", "document", withLayoutIds],
  ["templates", "document", withLayoutIds],
  ["edits", "shown_before", shownWithIds],
  ["edits", "shown_after", shownWithIds],
];

/** Layouts were known by their English names. */
async function giveLayoutsIds(tx: Transaction): Promise<void> {
  for (const [table, column, make] of WITH_LAYOUTS) {
    const [from, name] = [sql.identifier(table), sql.identifier(column)];
    const rows = await tx.all<{ at: number; stored: string }>(
      sql`SELECT rowid AS at, ${name} AS stored FROM ${from} WHERE ${name} IS NOT NULL`,
    );
    for (const { at, stored } of rows) {
      const now = madeAnew(stored, make);
      if (now !== undefined && now !== stored)
        await tx.run(sql`UPDATE ${from} SET ${name} = ${now} WHERE rowid = ${at}`);
    }
  }
}

/** Undefined for what is no JSON: it is set aside as it is. */
function madeAnew(stored: string, make: (value: unknown) => unknown): string | undefined {
  try {
    return JSON.stringify(make(JSON.parse(stored)));
  } catch {
    return undefined;
  }
}
