import { createHash } from "node:crypto";
import type { FileId } from "../../core/files";

export const fileId = (bytes: Uint8Array): FileId =>
  createHash("sha256").update(bytes).digest("hex");
