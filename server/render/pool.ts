import { availableParallelism } from "node:os";
import { Piscina } from "piscina";
import type { LayoutChoices, LogoWish } from "../../core/api";
import type { Brand } from "../../core/brand";
import type { FileId } from "../../core/files";
import type { PaletteReading } from "../../core/palette";
import type { Piece } from "../../core/piece";
import type { LogoTask, RefitTask, RenderResult, RenderTask, SizeSheetTask } from "./task";

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
    return this.named("paletteTask", id);
  }

  /** Another version of a stored logo, made in a thread; undefined when it cannot be. */
  logo(id: FileId, wanted: LogoWish): Promise<Uint8Array | undefined> {
    const task: LogoTask = { id, wanted };
    return this.named("logoTask", task);
  }

  /** The brand sheet as a PDF. */
  sheet(brand: Brand): Promise<Uint8Array> {
    return this.named("sheetTask", brand);
  }

  /** All sizes of a piece on one page, as an image or a document. */
  sizeSheet(task: SizeSheetTask): Promise<Uint8Array> {
    return this.named("sizeSheetTask", task);
  }

  /** The best layouts of one size. */
  layouts(task: RefitTask): Promise<LayoutChoices["layouts"]> {
    return this.named("layoutsTask", task);
  }

  /** The piece with that size as its lead. */
  withLead(task: RefitTask): Promise<Piece> {
    return this.named("leadTask", task);
  }

  /** A piece that was begun from a template, its lead laid out anew where its words need that. */
  begun(task: RefitTask): Promise<Piece> {
    return this.named("begunTask", task);
  }

  /** The worker's other functions; the pool's own types know of the first alone. */
  private named<T>(name: string, task: unknown): Promise<T> {
    return this.pool.run(task as never, { name }) as unknown as Promise<T>;
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
