import type { FileId } from "../../core/files";

/** Where files are read from by their id. Rejects with `file-missing` for one that is not there. */
export interface FileSource {
  read(id: FileId): Promise<Buffer>;
}
