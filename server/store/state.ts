import { readFile } from "node:fs/promises";
import { join } from "node:path";
import type { Client } from "@libsql/client";
import { problem } from "../../core/problem";

/** Where drizzle notes which migrations a database has been through. */
const NOTED = "__drizzle_migrations";

/**
 * Looks at a database before anything is done to it. Throws `store-damaged`, `store-foreign` for one of another program,
 * or `store-newer`; nothing has been changed by then.
 */
export async function refuseUnfit(client: Client, file: string, migrations: string): Promise<void> {
  const tables = await tablesOf(client, file);
  if (tables.length === 0) return;
  if (!tables.includes(NOTED)) throw problem("store-foreign", { file });
  const { rows } = await client.execute(`SELECT count(*) AS count FROM ${NOTED}`);
  if (Number(rows[0]!.count) > (await countKnown(migrations)))
    throw problem("store-newer", { file });
}

async function tablesOf(client: Client, file: string): Promise<string[]> {
  try {
    const [check] = (await client.execute("PRAGMA quick_check(1)")).rows;
    if (check?.quick_check !== "ok") throw problem("store-damaged", { file });
    const { rows } = await client.execute("SELECT name FROM sqlite_master WHERE type = 'table'");
    return rows.map((row) => String(row.name));
  } catch (error) {
    if (/SQLITE_NOTADB|SQLITE_CORRUPT|not a database|malformed/.test(String(error)))
      throw problem("store-damaged", { file });
    throw error;
  }
}

async function countKnown(migrations: string): Promise<number> {
  const journal = JSON.parse(await readFile(join(migrations, "meta/_journal.json"), "utf8")) as {
    entries: unknown[];
  };
  return journal.entries.length;
}
