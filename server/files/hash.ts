import { createHash } from "node:crypto";
import { createReadStream } from "node:fs";
import { pipeline } from "node:stream/promises";
import type { FileId } from "../../core/files";

export const fileId = (bytes: Uint8Array): FileId =>
  createHash("sha256").update(bytes).digest("hex");

/** The id of a file that is read bit by bit. */
export async function fileIdAt(path: string): Promise<FileId> {
  const hash = createHash("sha256");
  await pipeline(createReadStream(path), hash);
  return hash.digest("hex");
}
