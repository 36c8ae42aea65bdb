import { createWriteStream } from "node:fs";
import { mkdir, rename, rm, stat } from "node:fs/promises";
import { dirname } from "node:path";
import type { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { ZipFile as Archive } from "yazl";
import { diskFull, type Content } from "./blobs";

/** A file of a zip: its name there, and its bytes or where they lie. Only text is worth packing; pictures are already. */
export interface ZipEntry {
  name: string;
  content: Content;
  pack: boolean;
}

function addTo(archive: Archive, { name, content, pack }: ZipEntry, at: Date): void {
  const options = { mtime: at, compress: pack };
  if (typeof content === "string") archive.addFile(content, name, options);
  else archive.addBuffer(Buffer.from(content), name, options);
}

/** An archive that tells of its failures where its bytes are read. */
function archiveOf(): Archive {
  const archive = new Archive();
  archive.on("error", (error: Error) => readable(archive).destroy(error));
  return archive;
}

const readable = (archive: Archive): Readable => archive.outputStream as Readable;

/** A zip that is made while it is read, file by file, so that it is never in memory as a whole. */
export function zipStream(entries: Iterable<ZipEntry>, at: Date): Readable {
  const archive = archiveOf();
  for (const entry of entries) addTo(archive, entry, at);
  archive.end();
  return readable(archive);
}

/** A zip written to disk as its files come; it takes its place when it is whole. */
export class ZipFile {
  private failure: Error | undefined;
  private readonly archive = archiveOf();
  private readonly written: Promise<void>;

  private constructor(
    private readonly path: string,
    private readonly at: Date,
  ) {
    this.written = pipeline(readable(this.archive), createWriteStream(this.partial));
    this.written.catch((error: Error) => (this.failure = error));
  }

  static async create(path: string, at: Date): Promise<ZipFile> {
    await mkdir(dirname(path), { recursive: true });
    return new ZipFile(path, at);
  }

  /** A file at a path has to stay there until the zip is finished. Throws `store-full`. */
  add(name: string, content: Content, pack: boolean): void {
    if (this.failure) throw diskFull(this.failure) ?? this.failure;
    addTo(this.archive, { name, content, pack }, this.at);
  }

  /** Answers its length in bytes. Throws `store-full`. */
  async finish(): Promise<number> {
    this.archive.end();
    try {
      await this.written;
    } catch (error) {
      throw diskFull(error) ?? error;
    }
    const { size } = await stat(this.partial);
    await rename(this.partial, this.path);
    return size;
  }

  /** Leaves nothing of an unfinished zip behind. */
  async discard(): Promise<void> {
    readable(this.archive).destroy();
    await this.written.catch(() => undefined);
    await rm(this.partial, { force: true });
  }

  private get partial(): string {
    return `${this.path}.part`;
  }
}
