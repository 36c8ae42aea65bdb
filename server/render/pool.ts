import { availableParallelism } from "node:os";
import { Piscina } from "piscina";
import type { FileId } from "../../core/files";
import type { PaletteReading } from "../../core/palette";
import type { RenderResult, RenderTask } from "./task";

const TASKS_PER_THREAD = 2;

/** Where a thread finds stored files and shipped fonts. */
export interface Folders {
  blobs: string;
  fonts: string;
}

/** Worker threads that make pictures, one for each core. */
export class RenderPool {
  private readonly pool: Piscina<RenderTask, RenderResult>;
  /** How many tasks can be worked on at once. */
  readonly size: number;

  constructor(worker: { filename: string; execArgv?: string[] }, folders: Folders) {
    const threads = Math.max(1, availableParallelism());
    this.size = threads * TASKS_PER_THREAD;
    this.pool = new Piscina({
      ...worker,
      workerData: folders,
      minThreads: 1,
      maxThreads: threads,
      // While one picture is being encoded and written, the thread lays out the next.
      concurrentTasksPerWorker: TASKS_PER_THREAD,
      idleTimeout: 30_000,
    });
    // A thread that dies fails its task, which is reported there; the pool makes a new thread.
    this.pool.on("error", () => undefined);
  }

  run(task: RenderTask, signal?: AbortSignal): Promise<RenderResult> {
    return this.pool.run(task, signal ? { signal } : {});
  }

  /** The colours of a stored picture, read in a thread. */
  palette(id: FileId): Promise<PaletteReading> {
    return this.pool.run(id as never, {
      name: "paletteTask",
    }) as unknown as Promise<PaletteReading>;
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
