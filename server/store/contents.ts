import { sql } from "drizzle-orm";
import { fromOlderEdit, type Edit } from "../../core/edit";
import type { Transaction } from "./database";
import { mendIds } from "./ids";

/** What is done to the contents of a database that was written before, in order; each once, by the database's own version. */
const STEPS: ((tx: Transaction) => Promise<void>)[] = [mendIds, sayEditsAnew];

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
