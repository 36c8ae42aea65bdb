import { createWriteStream } from "node:fs";
import { mkdir, rename } from "node:fs/promises";
import { dirname } from "node:path";
import { Zip, ZipDeflate, ZipPassThrough } from "fflate";

/** A zip written to disk as its files come; it takes its place when it is whole. */
export class ZipFile {
  private bytes = 0;
  private failure: Error | undefined;
  private readonly zip: Zip;
  private readonly stream;

  private constructor(
    private readonly path: string,
    private readonly at: Date,
  ) {
    this.stream = createWriteStream(`${path}.part`);
    this.stream.on("error", (error) => (this.failure = error));
    this.zip = new Zip((error, chunk) => {
      if (error) this.failure = error;
      else {
        this.bytes += chunk.length;
        this.stream.write(chunk);
      }
    });
  }

  static async create(path: string, at: Date): Promise<ZipFile> {
    await mkdir(dirname(path), { recursive: true });
    return new ZipFile(path, at);
  }

  /** Pictures are compressed already; only text is worth deflating. */
  async add(name: string, bytes: Uint8Array, deflate: boolean): Promise<void> {
    const entry = deflate ? new ZipDeflate(name) : new ZipPassThrough(name);
    entry.mtime = this.at;
    this.zip.add(entry);
    entry.push(bytes, true);
    if (this.failure) throw this.failure;
    if (this.stream.writableNeedDrain) {
      await new Promise<void>((resolve) => this.stream.once("drain", resolve));
    }
  }

  async finish(): Promise<number> {
    this.zip.end();
    await new Promise<void>((resolve, reject) => {
      this.stream.once("error", reject);
      this.stream.end(resolve);
    });
    if (this.failure) throw this.failure;
    await rename(`${this.path}.part`, this.path);
    return this.bytes;
  }
}
