import { mkdir, readdir, readFile, rename, rm, writeFile } from "node:fs/promises";
import { dirname, join } from "node:path";
import { createClient } from "@libsql/client";
import { problem } from "../../core/problem";
import { exists } from "../files/blobs";
import { fileIdAt } from "../files/hash";
import { withScratch } from "../files/scratch";
import { unzipTo } from "../files/unzip";
import { within } from "../files/within";
import { refuseUnfit } from "../store/state";
import { DATABASE, FOLDERS } from "./backup";

/** What came out of a backup and is to take its place at the next start, and what had been there before that. */
const RESTORED = "restored";
const REPLACED = "before-restore";
/** The names of the parts that a staged backup brings. */
const LIST = "parts.json";

const LIMITS = { files: 1_000_000, bytes: 512 * 1024 * 1024 * 1024 };
/** The database and what lies beside it, then the folders. */
const PARTS = [DATABASE, `${DATABASE}-wal`, `${DATABASE}-shm`, ...FOLDERS];

/**
 * Unpacks a backup beside the data of a folder, and looks whether it is whole. Nothing is replaced yet: `takeRestored` does
 * that, when nobody is at work. Throws `archive-unreadable`, `backup-unfit`, and what an unfit database throws.
 */
export async function stageBackup(
  zip: string,
  folder: string,
  name: string,
  migrations: string,
): Promise<void> {
  await withScratch(folder, async (scratch) => {
    const staged = join(scratch, RESTORED);
    const packed = join(scratch, "packed");
    await mkdir(packed);
    for (const file of await unzipTo(zip, packed, name, LIMITS)) {
      const path = placeIn(staged, file.name);
      if (!path) throw problem("backup-unfit", { name, why: `it holds “${file.name}”` });
      await mkdir(dirname(path), { recursive: true });
      await rename(file.path, path);
    }
    await refuseCut(staged, name, migrations);
    await writeFile(join(staged, LIST), JSON.stringify(await readdir(staged)));
    await rm(join(folder, RESTORED), { recursive: true, force: true });
    await rename(staged, join(folder, RESTORED));
  });
}

/** Where a file of a backup goes; undefined for what no backup holds. */
function placeIn(staged: string, name: string): string | undefined {
  const [first, ...rest] = name.split("/");
  if (first === DATABASE && rest.length === 0) return join(staged, DATABASE);
  const isFolder = FOLDERS.some((folder) => folder === first);
  return isFolder && rest.length > 0 ? within(staged, first!, ...rest) : undefined;
}

/** Every stored file that the database tells of has to be there, with its own content. */
async function refuseCut(staged: string, name: string, migrations: string): Promise<void> {
  const unfit = (why: string) => problem("backup-unfit", { name, why });
  const database = join(staged, DATABASE);
  if (!(await exists(database))) throw unfit("it holds no database");
  const client = createClient({ url: `file:${database}`, concurrency: 1 });
  try {
    await refuseUnfit(client, DATABASE, migrations);
    const { rows } = await client.execute("SELECT id FROM files");
    for (const { id } of rows) {
      const path = within(staged, "files", String(id).slice(0, 2), String(id));
      const found = await fileIdAt(path).catch(() => undefined);
      if (found !== id)
        throw unfit(`the stored file ${String(id).slice(0, 12)}… is missing or damaged`);
    }
  } finally {
    client.close();
  }
}

/**
 * Puts what was staged in its place, and what was there aside, part by part, so that a start that is cut off here is gone on
 * with by the next. Answers where the old data lies now; undefined when there was none. Nobody else may be at work.
 */
export async function takeRestored(folder: string, now: Date): Promise<string | undefined> {
  const staged = join(folder, RESTORED);
  if (!(await exists(staged))) return undefined;
  const replaced = join(folder, REPLACED);
  const coming = await partsOf(staged);
  await mkdir(replaced, { recursive: true });
  for (const part of PARTS) {
    const [here, next, aside] = [folder, staged, replaced].map((place) => join(place, part));
    // What has come already is in its place and must not be put aside.
    const isDue = coming.has(part) ? await exists(next!) : !(await exists(aside!));
    if (isDue && (await exists(here!))) await rename(here!, aside!);
    if (await exists(next!)) await rename(next!, here!);
  }
  const old = (await readdir(replaced)).length > 0;
  const dated = `${replaced}-${now.toISOString().slice(0, 19).replace(/[:T]/g, "-")}`;
  if (old) await rename(replaced, dated);
  else await rm(replaced, { recursive: true });
  await rm(staged, { recursive: true });
  return old ? dated : undefined;
}

/** What a backup brings, written down beside it when it was staged. */
async function partsOf(staged: string): Promise<ReadonlySet<string>> {
  return new Set(JSON.parse(await readFile(join(staged, LIST), "utf8")) as string[]);
}

/** Gives up a backup that waits for the next start; nothing of what is here has changed. */
export const unstage = (folder: string): Promise<void> =>
  rm(join(folder, RESTORED), { recursive: true, force: true });

/** Whether a backup waits for the next start. */
export const isStaged = async (folder: string): Promise<boolean> =>
  (await readdir(folder)).includes(RESTORED);
