import { sql } from "drizzle-orm";
import { Id } from "../../core/id";
import type { Transaction } from "./database";

/** Where a placement's id may stand in stored JSON, beside its own row. */
const HOLDERS = [
  ["pieces", "document"],
  ["edits", "edit"],
] as const;

/**
 * Placements could once be imported under any id. One that is no part of a file's name gets another, and the pieces that
 * go there, with their history, follow. What is stored of batches is left: it is told by its files.
 */
export async function mendPlacementIds(tx: Transaction): Promise<void> {
  const rows = await tx.all<{ id: string }>(sql`SELECT id FROM placements`);
  const taken = new Set(rows.map(({ id }) => id));
  for (const { id } of rows.filter((row) => !Id.safeParse(row.id).success)) {
    const better = freeIdLike(id, taken);
    taken.add(better);
    await tx.run(
      sql`UPDATE placements SET id = ${better}, document = json_set(document, '$.id', ${better}) WHERE id = ${id}`,
    );
    for (const [table, column] of HOLDERS)
      await tx.run(
        sql`UPDATE ${sql.identifier(table)} SET ${sql.identifier(column)} = replace(${sql.identifier(column)}, ${JSON.stringify(id)}, ${JSON.stringify(better)}) WHERE instr(${sql.identifier(column)}, ${JSON.stringify(id)}) > 0`,
      );
  }
}

function freeIdLike(id: string, taken: ReadonlySet<string>): string {
  const plain =
    id
      .normalize("NFKD")
      .replace(/[^A-Za-z0-9]+/g, "-")
      .slice(0, 60)
      .replace(/^-+|-+$/g, "") || "placement";
  let free = plain;
  for (let count = 2; taken.has(free); count++) free = `${plain}-${count}`;
  return free;
}
