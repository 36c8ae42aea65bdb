import workerpool, { type Pool } from "workerpool";
import type { Block } from "../../core/article";
import type { FontFacts, TableAnswer } from "../../core/api";
import type { PictureFile } from "../../core/files";
import { problem } from "../../core/problem";
import { crossed, type Crossing } from "../problems";
import { readArticle, readFont, readPicture, readTable } from "./reading";

/** Reads files that come from outside, by their path and the name that a person knows them by. */
export interface Reader {
  picture(path: string, name: string): Promise<PictureFile>;
  font(path: string, name: string): Promise<FontFacts[]>;
  table(path: string, name: string): Promise<TableAnswer>;
  article(path: string, name: string): Promise<Block[]>;
  close(): Promise<void>;
}

/** Reads in this program: for the command line and for tests, where a file that is too much harms nobody else. */
export const readerHere: Reader = {
  picture: readPicture,
  font: readFont,
  table: readTable,
  article: readArticle,
  close: () => Promise.resolve(),
};

export type Task = "picture" | "font" | "table" | "article";

/** A file that takes longer is given up; a photograph of 100 megapixels takes a few seconds. In milliseconds. */
const MOST_TIME = 30_000;
/** So much of V8's heap, in MB; a workbook with all the rows that can be used takes a third. */
const MOST_HEAP = 512;
const PROCESSES = 2;
/** Processes are ended after so many milliseconds without a file. */
const IDLE = 20_000;

/** Reads in processes of their own, which are ended when a file takes too long; one that dies fails its file alone. */
export class ReaderProcesses implements Reader {
  private pool: Pool | undefined;
  private idle: NodeJS.Timeout | undefined;
  private busy = 0;

  constructor(
    private readonly script: string,
    private readonly mostTime = MOST_TIME,
    private readonly execArgv: string[] = [],
  ) {}

  picture(path: string, name: string): Promise<PictureFile> {
    return this.read("picture", path, name) as Promise<PictureFile>;
  }

  font(path: string, name: string): Promise<FontFacts[]> {
    return this.read("font", path, name) as Promise<FontFacts[]>;
  }

  table(path: string, name: string): Promise<TableAnswer> {
    return this.read("table", path, name) as Promise<TableAnswer>;
  }

  article(path: string, name: string): Promise<Block[]> {
    return this.read("article", path, name) as Promise<Block[]>;
  }

  async close(): Promise<void> {
    clearTimeout(this.idle);
    const { pool } = this;
    this.pool = undefined;
    await pool?.terminate(true);
  }

  private async read(task: Task, path: string, name: string): Promise<unknown> {
    clearTimeout(this.idle);
    this.busy++;
    try {
      return crossed(await this.ask(task, path, name));
    } finally {
      this.busy--;
      if (this.busy === 0) this.idle = setTimeout(() => void this.close(), IDLE).unref();
    }
  }

  private async ask(task: Task, path: string, name: string): Promise<Crossing<unknown>> {
    this.pool ??= workerpool.pool(this.script, {
      workerType: "process",
      maxWorkers: PROCESSES,
      // Ended at once when its time is up: one that died by itself while it is waited for is never heard of again.
      workerTerminateTimeout: 1,
      forkOpts: { execArgv: [...this.execArgv, `--max-old-space-size=${MOST_HEAP}`] },
    });
    try {
      // The time runs from when a process takes it up.
      return (await this.pool.exec(task, [path, name]).timeout(this.mostTime)) as Crossing<unknown>;
    } catch {
      throw problem("file-too-much", { name });
    }
  }
}
