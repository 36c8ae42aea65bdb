import { readdir, rm } from "node:fs/promises";
import { join, relative, sep } from "node:path";
import type { Readable } from "node:stream";
import { createClient } from "@libsql/client";
import { problem } from "../../core/problem";
import { exists } from "../files/blobs";
import { scratchIn } from "../files/scratch";
import { zipStream, type ZipEntry } from "../files/zip";

export const DATABASE = "zest.db";
/** The folders of what is stored and made; renditions are made anew when they are asked for. */
export const FOLDERS = ["files", "batches", "deliveries"] as const;

/**
 * A data folder as one zip, that is made while it is read: the database as it is at this moment, and then all files. It can
 * be taken while the program is at work, since a stored file is never changed. Throws `backup-nothing`.
 */
export async function backUp(folder: string, at: Date): Promise<Readable> {
  const database = join(folder, DATABASE);
  if (!(await exists(database))) throw problem("backup-nothing", { folder });
  const scratch = await scratchIn(folder);
  const leave = () => rm(scratch, { recursive: true, force: true });
  try {
    const snapshot = join(scratch, DATABASE);
    await copyDatabase(database, snapshot);
    const entries: ZipEntry[] = [{ name: DATABASE, content: snapshot, pack: true }];
    for (const name of FOLDERS) entries.push(...(await entriesIn(folder, name)));
    const stream = zipStream(entries, at);
    // However it ends: read to its end, or given up by whoever reads it.
    stream.once("close", () => void leave());
    return stream;
  } catch (error) {
    await leave();
    throw error;
  }
}

/** One file that holds what has been saved up to now, also what still stands in the log beside the database. */
async function copyDatabase(from: string, to: string): Promise<void> {
  const client = createClient({ url: `file:${from}`, concurrency: 1, timeout: 5000 });
  try {
    await client.execute({ sql: "VACUUM INTO ?", args: [to] });
  } finally {
    client.close();
  }
}

/** Finished files only, under their names with slashes. */
async function entriesIn(folder: string, name: string): Promise<ZipEntry[]> {
  const found = await readdir(join(folder, name), { recursive: true, withFileTypes: true }).catch(
    () => [],
  );
  return found
    .filter((entry) => entry.isFile() && !entry.name.endsWith(".part"))
    .map((entry) => join(entry.parentPath, entry.name))
    .map((path) => ({
      name: relative(folder, path).split(sep).join("/"),
      content: path,
      pack: false,
    }));
}
