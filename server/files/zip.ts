import { createWriteStream } from "node:fs";
import { mkdir, rename, rm } from "node:fs/promises";
import { dirname } from "node:path";
import { Zip, ZipDeflate, ZipPassThrough } from "fflate";
import { diskFull } from "./blobs";

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

  /** Pictures are compressed already; only text is worth deflating. Throws `store-full`. */
  async add(name: string, bytes: Uint8Array, deflate: boolean): Promise<void> {
    const entry = deflate ? new ZipDeflate(name) : new ZipPassThrough(name);
    entry.mtime = this.at;
    this.zip.add(entry);
    entry.push(bytes, true);
    if (!this.failure && this.stream.writableNeedDrain) await this.settled("drain");
    this.refuseFailure();
  }

  async finish(): Promise<number> {
    this.zip.end();
    this.stream.end();
    if (!this.failure && !this.stream.writableFinished) await this.settled("finish");
    this.refuseFailure();
    await rename(`${this.path}.part`, this.path);
    return this.bytes;
  }

  /** Leaves nothing of an unfinished zip behind. */
  async discard(): Promise<void> {
    if (!this.stream.closed) {
      this.stream.destroy();
      await this.settled("close");
    }
    await rm(`${this.path}.part`, { force: true });
  }

  /** A stream that has failed never drains or finishes: it closes. */
  private settled(event: "drain" | "finish" | "close"): Promise<void> {
    if (this.stream.closed) return Promise.resolve();
    return new Promise((resolve) => {
      const done = () => {
        this.stream.off(event, done).off("close", done);
        resolve();
      };
      this.stream.on(event, done).on("close", done);
    });
  }

  private refuseFailure(): void {
    if (this.failure) throw diskFull(this.failure) ?? this.failure;
  }
}
