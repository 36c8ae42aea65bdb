import { mkdir, open, readFile, rename, rm, stat } from "node:fs/promises";
import { dirname } from "node:path";
import type { FileId } from "../../core/files";
import { problem, type Problem } from "../../core/problem";
import { fileId } from "./hash";
import type { FileSource } from "./source";
import { within } from "./within";

/** Files by content in a folder, two letters deep. What is there is never changed. */
export class Blobs implements FileSource {
  constructor(private readonly folder: string) {}

  async put(bytes: Uint8Array): Promise<FileId> {
    const id = fileId(bytes);
    const path = this.path(id);
    if (!(await exists(path))) await writeWhole(path, bytes, { durable: true });
    return id;
  }

  async read(id: FileId): Promise<Buffer> {
    return readFile(this.path(id)).catch(() => {
      throw problem("not-found", { what: "file", id });
    });
  }

  path(id: FileId): string {
    return within(this.folder, id.slice(0, 2), id);
  }
}

export const exists = (path: string): Promise<boolean> =>
  stat(path).then(
    () => true,
    () => false,
  );

/**
 * Writes beside the place and moves there, so that a file is whole or not there when the program is killed.
 * `durable` also waits for the disk: for what cannot be made again.
 */
export async function writeWhole(
  path: string,
  bytes: Uint8Array,
  { durable = false } = {},
): Promise<void> {
  await mkdir(dirname(path), { recursive: true });
  const partial = `${path}.${process.pid}-${counter++}.part`;
  try {
    const file = await open(partial, "w");
    try {
      await file.writeFile(bytes);
      if (durable) await file.sync();
    } finally {
      await file.close();
    }
    await rename(partial, path);
  } catch (error) {
    await rm(partial, { force: true });
    throw diskFull(error) ?? error;
  }
}

/** What to say of a failure when there was no room; undefined for any other. */
export const diskFull = (error: unknown): Problem | undefined =>
  (error as NodeJS.ErrnoException).code === "ENOSPC" ? problem("store-full") : undefined;

let counter = 0;
