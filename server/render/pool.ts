import { availableParallelism } from "node:os";
import { Piscina } from "piscina";
import type { RenderResult, RenderTask } from "./task";

/** Worker threads that make pictures, one for each core. */
export class RenderPool {
  private readonly pool: Piscina<RenderTask, RenderResult>;
  readonly size: number;

  constructor(worker: { filename: string; execArgv?: string[] }, blobs: string) {
    this.size = Math.max(1, availableParallelism());
    this.pool = new Piscina({
      ...worker,
      workerData: { blobs },
      minThreads: 1,
      maxThreads: this.size,
      idleTimeout: 30_000,
    });
    // A thread that dies fails its task, which is reported there; the pool makes a new thread.
    this.pool.on("error", () => undefined);
  }

  run(task: RenderTask, signal?: AbortSignal): Promise<RenderResult> {
    return this.pool.run(task, signal ? { signal } : {});
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
