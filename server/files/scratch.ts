import { mkdir, mkdtemp, readdir, rm, statfs } from "node:fs/promises";
import { join } from "node:path";

const FOLDER = "scratch";

/** A folder of one's own for what is not finished, on the disk where it will stand when it is. */
export async function scratchIn(folder: string): Promise<string> {
  const all = join(folder, FOLDER);
  await mkdir(all, { recursive: true });
  return mkdtemp(join(all, "at-"));
}

/** The same for as long as `use` takes; then it is gone, however that ended. */
export async function withScratch<T>(
  folder: string,
  use: (scratch: string) => Promise<T>,
): Promise<T> {
  const scratch = await scratchIn(folder);
  return use(scratch).finally(() => rm(scratch, { recursive: true, force: true }));
}

/** Clears away what was not finished when the program ended. Only for a folder that nobody else works in. */
export async function sweep(folder: string): Promise<void> {
  await rm(join(folder, FOLDER), { recursive: true, force: true });
  const entries = await readdir(folder, { recursive: true, withFileTypes: true });
  const halves = entries.filter((entry) => entry.isFile() && entry.name.endsWith(".part"));
  for (const { parentPath, name } of halves) await rm(join(parentPath, name), { force: true });
}

/** Bytes that are free where a folder lies. */
export async function freeIn(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}
