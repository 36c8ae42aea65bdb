import { createWriteStream } from "node:fs";
import { stat } from "node:fs/promises";
import { join } from "node:path";
import type { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { problem } from "../../core/problem";
import { diskFull } from "../files/blobs";
import { withScratch } from "../files/scratch";

interface Multipart {
  file(options: {
    limits: { fileSize: number };
  }): Promise<{ filename: string; file: Readable & { truncated: boolean } } | undefined>;
}

/** A file that came in: where it lies until it is stored, and the name that a person knows it by. */
export interface Incoming {
  path: string;
  name: string;
}

/** In bytes; of tables, ten times what can be used. */
export const MOST_UPLOAD = 60 * 1024 * 1024;
export const MOST_TABLE = 20 * 1024 * 1024;
/** So many come in at once; a browser sends one after another. */
const MOST_AT_ONCE = 8;

let incoming = 0;

/**
 * Takes the one file of a multipart request to the disk, bit by bit, and gives it to `use`; after that it is gone.
 * Throws `file-too-large`, `file-empty` and `uploads-many`.
 */
export async function withUpload<T>(
  request: unknown,
  folder: string,
  use: (file: Incoming) => Promise<T>,
  most = MOST_UPLOAD,
): Promise<T> {
  if (incoming >= MOST_AT_ONCE) throw problem("uploads-many");
  incoming++;
  try {
    return await withScratch(folder, async (scratch) => {
      const part = await (request as Multipart).file({ limits: { fileSize: most } });
      if (!part) throw problem("request-invalid", { field: "file", why: "a file is needed" });
      const path = join(scratch, "file");
      const name = part.filename || "The file";
      const tooLarge = () => problem("file-too-large", { most: `${most / 1024 / 1024} MB` });
      await pipeline(part.file, createWriteStream(path)).catch((error: unknown) => {
        const isTooLarge = (error as { code?: string }).code === "FST_REQ_FILE_TOO_LARGE";
        throw isTooLarge ? tooLarge() : (diskFull(error) ?? error);
      });
      const { size } = await stat(path);
      if (part.file.truncated) throw tooLarge();
      if (size === 0) throw problem("file-empty", { name });
      return use({ path, name });
    });
  } finally {
    incoming--;
  }
}
