import { createReadStream } from "node:fs";
import { readdir, readFile, rm, stat } from "node:fs/promises";
import { join } from "node:path";
import type { Readable } from "node:stream";
import { writeWhole } from "./blobs";
import { freeIn } from "./scratch";
import { within } from "./within";

/** The kinds of files that the program stores and makes. */
export type FileKind = "files" | "batches" | "deliveries" | "renditions";
/** What a file is called: its kind, and the names that lead to it. Without the last ones, all that lies there. */
export type FileName = readonly [kind: FileKind, ...names: string[]];

/** Where files lie that the program has stored and made; services know them by name. */
export interface FileStore {
  /** Where a file may be written from a thread or a process, on a disk of this machine. It is there when it is whole. */
  place(name: FileName): string;
  /** Bytes; undefined for what is not there. */
  size(name: FileName): Promise<number | undefined>;
  read(name: FileName): Promise<Buffer | undefined>;
  stream(name: FileName): Readable;
  write(name: FileName, content: Uint8Array): Promise<void>;
  /** A file, or all that lies under a name; nothing is fine too. */
  remove(name: FileName): Promise<void>;
  used(kind: FileKind): Promise<{ count: number; bytes: number }>;
  /** Bytes that there is room for. */
  free(): Promise<number>;
}

/** Files in a folder, a folder for each kind. */
export class FolderStore implements FileStore {
  constructor(private readonly folder: string) {}

  place([kind, ...names]: FileName): string {
    return within(this.folder, kind, ...names);
  }

  size(name: FileName): Promise<number | undefined> {
    return sizeAt(this.place(name));
  }

  read(name: FileName): Promise<Buffer | undefined> {
    return readFile(this.place(name)).catch(() => undefined);
  }

  stream(name: FileName): Readable {
    return createReadStream(this.place(name));
  }

  write(name: FileName, content: Uint8Array): Promise<void> {
    return writeWhole(this.place(name), content);
  }

  remove(name: FileName): Promise<void> {
    return rm(this.place(name), { recursive: true, force: true });
  }

  async used(kind: FileKind): Promise<{ count: number; bytes: number }> {
    const all = { recursive: true, withFileTypes: true } as const;
    const entries = await readdir(this.place([kind]), all).catch(() => []);
    const files = entries.filter((entry) => entry.isFile());
    let bytes = 0;
    for (const { parentPath, name } of files) bytes += (await sizeAt(join(parentPath, name))) ?? 0;
    return { count: files.length, bytes };
  }

  free(): Promise<number> {
    return freeIn(this.folder);
  }
}

const sizeAt = (path: string): Promise<number | undefined> =>
  stat(path).then(
    ({ size }) => size,
    () => undefined,
  );
