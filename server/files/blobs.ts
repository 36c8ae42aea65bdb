import { constants, createWriteStream } from "node:fs";
import { copyFile, mkdir, open, readFile, rename, rm, stat, writeFile } from "node:fs/promises";
import { dirname } from "node:path";
import type { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import type { FileId } from "../../core/files";
import { problem, type Problem } from "../../core/problem";
import { fileId, fileIdAt } from "./hash";
import type { FileSource } from "./source";
import { within } from "./within";

/** What is stored: bytes, or the path of a file that is copied. */
export type Content = Uint8Array | string;

/** Files by content in a folder, two letters deep. What is there is never changed. */
export class Blobs implements FileSource {
  constructor(private readonly folder: string) {}

  /** One that is there already stays, if it is whole; one that the disk has damaged is put right. */
  async put(content: Content): Promise<FileId> {
    const id = typeof content === "string" ? await fileIdAt(content) : fileId(content);
    const path = this.path(id);
    const known = await fileIdAt(path).catch(() => undefined);
    if (known !== id) await writeWhole(path, content, { durable: true });
    return id;
  }

  async read(id: FileId): Promise<Buffer> {
    return readFile(this.path(id)).catch(() => {
      throw problem("not-found", { what: "file", id });
    });
  }

  async remove(id: FileId): Promise<void> {
    await rm(this.path(id), { force: true });
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

/** What comes bit by bit, written beside its place and moved there when it is whole. */
export async function writeStream(path: string, content: Readable): Promise<void> {
  await mkdir(dirname(path), { recursive: true });
  const partial = `${path}.part`;
  try {
    await pipeline(content, createWriteStream(partial));
    await settle(partial);
    await rename(partial, path);
  } catch (error) {
    await rm(partial, { force: true });
    throw diskFull(error) ?? error;
  }
}

/**
 * Writes beside the place and moves there, so that a file is whole or not there when the program is killed.
 * `durable` also waits for the disk: for what cannot be made again.
 */
export async function writeWhole(
  path: string,
  content: Content,
  { durable = false } = {},
): Promise<void> {
  await mkdir(dirname(path), { recursive: true });
  const partial = `${path}.${process.pid}-${counter++}.part`;
  try {
    if (typeof content === "string") await copyFile(content, partial, constants.COPYFILE_FICLONE);
    else await writeFile(partial, content);
    if (durable) await settle(partial);
    await rename(partial, path);
  } catch (error) {
    await rm(partial, { force: true });
    throw diskFull(error) ?? error;
  }
}

/** Waits until a file is on the disk. */
async function settle(path: string): Promise<void> {
  const file = await open(path, "r+");
  await file.sync().finally(() => file.close());
}

/** What to say of a failure when there was no room; undefined for any other. */
export const diskFull = (error: unknown): Problem | undefined =>
  (error as NodeJS.ErrnoException).code === "ENOSPC" ? problem("store-full") : undefined;

let counter = 0;
