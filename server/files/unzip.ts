import { createWriteStream } from "node:fs";
import { join } from "node:path";
import { Transform, Writable, type Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { fromBufferPromise, openPromise, type ZipFile } from "yauzl";
import { problem } from "../../core/problem";
import { diskFull } from "./blobs";

/** A file that came out of a zip: the name that it had there, and where it lies now. */
export interface Unpacked {
  name: string;
  path: string;
}

/** What a zip may hold: files, and bytes when they are unpacked. */
export interface UnzipLimits {
  files: number;
  bytes: number;
}

/**
 * Unpacks a zip into a folder, under numbers. What counts is what really comes out: a file that is longer than the zip says
 * ends it. Throws `archive-unreadable`.
 */
export async function unzipTo(
  zip: string,
  folder: string,
  name: string,
  limits: UnzipLimits,
): Promise<Unpacked[]> {
  const unpacked: Unpacked[] = [];
  try {
    await eachFile(await openPromise(zip), limits, async (file, bytes) => {
      const path = join(folder, String(unpacked.length));
      await pipeline(bytes, createWriteStream(path));
      unpacked.push({ name: file, path });
    });
    return unpacked;
  } catch (error) {
    throw diskFull(error) ?? problem("archive-unreadable", { name, why: sentence(error) });
  }
}

/** Unpacks a zip into nothing, to see that it is whole and within the limits. Throws Error with why it is not. */
export async function measureZip(zip: Buffer, limits: UnzipLimits): Promise<void> {
  await eachFile(await fromBufferPromise(zip), limits, (_, bytes) =>
    pipeline(bytes, new Writable({ write: (_chunk, _encoding, next) => next() })),
  );
}

async function eachFile(
  archive: ZipFile,
  limits: UnzipLimits,
  take: (name: string, bytes: Readable) => Promise<void>,
): Promise<void> {
  let room = limits.bytes;
  const counted = () =>
    new Transform({
      transform(chunk: Buffer, _encoding, next) {
        room -= chunk.length;
        if (room < 0) next(new Error(`it unpacks to more than ${limits.bytes / MB} MB`));
        else next(null, chunk);
      },
    });
  try {
    if (archive.entryCount > limits.files)
      throw new Error(`it holds more than ${limits.files} files`);
    for await (const entry of archive.eachEntry()) {
      if (entry.fileName.endsWith("/")) continue;
      if (entry.isEncrypted()) throw new Error("it is locked with a password");
      const counter = counted();
      const bytes = await archive.openReadStreamPromise(entry);
      await Promise.all([pipeline(bytes, counter), take(entry.fileName, counter)]);
    }
  } finally {
    archive.close();
  }
}

const MB = 1024 * 1024;

const sentence = (error: unknown): string =>
  error instanceof Error ? error.message : "it is damaged";
