import { mkdir, stat } from "node:fs/promises";
import { basename, join, resolve } from "node:path";
import { backUp } from "../backup/backup";
import { stageBackup, takeRestored } from "../backup/restore";
import { writeStream } from "../files/blobs";
import { ownFolder } from "../store/owner";
import { UsageError } from "./options";

/** Writes a backup; a file of that name is replaced when the new one is whole. Answers its length in bytes. */
export async function backup(folder: string, file: string): Promise<number> {
  const path = resolve(file);
  await writeStream(path, await backUp(folder, new Date()));
  return (await stat(path)).size;
}

/** Puts a backup in the place of a folder's data. Answers where that lies now; undefined when there was none. */
export async function restore(
  folder: string,
  file: string,
  root: string,
): Promise<string | undefined> {
  const path = resolve(file);
  await stat(path).catch(() => {
    throw new UsageError(
      `${file} cannot be read. Nothing was replaced; name a backup that is there.`,
    );
  });
  await mkdir(folder, { recursive: true });
  const owner = await ownFolder(folder);
  try {
    await stageBackup(path, folder, basename(path), join(root, "server/store/migrations"));
    return await takeRestored(folder, new Date());
  } finally {
    owner.release();
  }
}
