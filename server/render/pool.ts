import { availableParallelism } from "node:os";
import { Piscina } from "piscina";
import type { LayoutChoices, LogoWish } from "../../core/api";
import type { Brand } from "../../core/brand";
import type { Compared } from "../../core/choosing";
import type { Area, FileId } from "../../core/files";
import type { PaletteReading } from "../../core/palette";
import type { Measured } from "../../core/measure";
import { messagePictures, siblingPictures, withFound, type Piece } from "../../core/piece";
import { RoomFor } from "./room";
import { crossed, type Crossing } from "../problems";
import type { Composition } from "../../core/siblings";
import type {
  CompareTask,
  ComposeTask,
  ContactSheetTask,
  LogoTask,
  MeasureTask,
  RefitTask,
  RenderResult,
  RenderTask,
  SizeSheetTask,
  SlidesTask,
} from "./task";

const TASKS_PER_THREAD = 2;
/** A thread ends that has had nothing to do for so long; in milliseconds. */
const IDLE = 30_000;

/** Bytes of pixels that may be painted at once, by all threads together. */
const ROOM = 480 * 1024 * 1024;
/** The pixels, and those that the encoder holds of them. */
const BYTES_A_PIXEL = 8;
const FOR_A_SHEET = 160 * 1024 * 1024;

const bytesFor = ({ placement: { width, height }, scale }: RenderTask): number =>
  width * height * scale * scale * BYTES_A_PIXEL;

/** Where a thread finds stored files and shipped fonts. */
export interface Folders {
  blobs: string;
  fonts: string;
}

/** What was found in stored pictures, by their ids. */
export type FoundAreas = (ids: readonly FileId[]) => Promise<ReadonlyMap<FileId, Area[]>>;

/**
 * A cancelled task ends its thread. One that is ended while it takes its code in by `require` takes the whole program with it,
 * since Node looks into a module that is not there; by `import` it does not.
 */
const REQUIRES_MODULES = "--experimental-require-module";
export const BY_IMPORT: readonly string[] = process.allowedNodeEnvironmentFlags.has(
  REQUIRES_MODULES,
)
  ? ["--enable-source-maps", "--no-experimental-require-module"]
  : ["--enable-source-maps"];

/** Worker threads that make pictures, one for each core. */
export class RenderPool {
  private readonly pool: Piscina<RenderTask, Crossing<RenderResult>>;
  /** How many tasks can be worked on at once. */
  readonly size: number;
  private readonly room = new RoomFor(ROOM);
  private prepared = -IDLE;
  private found: FoundAreas = () => Promise.resolve(new Map());

  constructor(worker: { filename: string }, folders: Folders) {
    const threads = Math.max(1, availableParallelism());
    this.size = threads * TASKS_PER_THREAD;
    this.pool = new Piscina({
      ...worker,
      execArgv: [...BY_IMPORT],
      workerData: folders,
      minThreads: 1,
      maxThreads: threads,
      // While one picture is being encoded and written, the thread lays out the next.
      concurrentTasksPerWorker: TASKS_PER_THREAD,
      idleTimeout: IDLE,
    });
    // A thread that dies fails its task, which is reported there; the pool makes a new thread.
    this.pool.on("error", () => undefined);
  }

  /** The threads have no database: what was found in stored pictures comes to them in the piece. */
  knowing(found: FoundAreas): this {
    this.found = found;
    return this;
  }

  /** The task with what was found in its piece's pictures. */
  async seen<T extends { piece: Piece }>(task: T): Promise<T> {
    const found = await this.found([
      ...messagePictures(task.piece.message),
      ...siblingPictures(task.piece),
    ]);
    return { ...task, piece: withFound(task.piece, found) };
  }

  async run(task: RenderTask, signal?: AbortSignal): Promise<RenderResult> {
    const seen = await this.seen(task);
    return this.room.use(bytesFor(task), async () =>
      crossed(await this.pool.run(seen, signal ? { signal } : {})),
    );
  }

  /** The colours of a stored picture, read in a thread. */
  palette(id: FileId): Promise<PaletteReading> {
    return this.named("palette", id);
  }

  /** Another version of a stored logo, made in a thread; undefined when it cannot be. */
  logo(id: FileId, wanted: LogoWish): Promise<Uint8Array | undefined> {
    const task: LogoTask = { id, wanted };
    return this.named("logo", task);
  }

  /** The brand sheet as a PDF. */
  sheet(brand: Brand): Promise<Uint8Array> {
    return this.room.use(FOR_A_SHEET, () => this.named("sheet", brand));
  }

  /** All sizes of a piece on one page, as an image or a document. */
  async sizeSheet(task: SizeSheetTask): Promise<Uint8Array> {
    const seen = await this.seen(task);
    return this.room.use(FOR_A_SHEET, () => this.named("sizeSheetOf", seen));
  }

  /** Variations of one size on one page, as an image or a document. */
  async contactSheet(task: ContactSheetTask): Promise<Uint8Array> {
    const variations = await Promise.all(task.variations.map((one) => this.seen(one)));
    return this.room.use(FOR_A_SHEET, () => this.named("contactSheetOf", { ...task, variations }));
  }

  /** The slides of a strip, as a document or as one picture. */
  async slides(task: SlidesTask): Promise<Uint8Array> {
    const slides = await Promise.all(
      task.slides.map(async (piece) => (await this.seen({ piece })).piece),
    );
    return this.room.use(FOR_A_SHEET, () => this.named("slidesOf", { ...task, slides }));
  }

  /** The best layouts of one size. */
  async layouts(task: RefitTask): Promise<LayoutChoices["layouts"]> {
    return this.named("layouts", await this.seen(task));
  }

  /** The piece with that size as its lead. */
  withLead(task: RefitTask): Promise<Piece> {
    return this.ofPiece("lead", task);
  }

  /** A piece that was made from a template, its lead laid out anew where its words need that. */
  fitted(task: RefitTask): Promise<Piece> {
    return this.ofPiece("fitted", task);
  }

  /** How the pieces of a class stand on a size, with what was found in their pictures. */
  async composition(task: ComposeTask): Promise<Composition> {
    const seen = async (message: Piece["message"]): Promise<Piece["message"]> =>
      (await this.seen({ piece: { ...task.piece, message } })).piece.message;
    const longest = await seen(task.of.longest);
    const tried = await Promise.all(
      task.of.tried.map(async (one) => ({ ...one, message: await seen(one.message) })),
    );
    const of = { ...task.of, longest, tried };
    return this.named("composition", { ...(await this.seen(task)), of });
  }

  /** Has all threads begin, and look at a piece that will soon be made: to begin takes them longer than to make it. */
  async prepare(task: RefitTask): Promise<void> {
    const now = performance.now();
    if (now - this.prepared < IDLE / 2) return;
    this.prepared = now;
    const seen = await this.seen(task);
    const threads = Array.from({ length: this.size / TASKS_PER_THREAD }, () =>
      this.named("prepared", seen),
    );
    await Promise.all(threads);
  }

  /** What can be measured of a finished file. */
  async measured(task: MeasureTask): Promise<Measured> {
    return this.named("measured", await this.seen(task));
  }

  /** What says or looks nearly the same. */
  compared(task: CompareTask): Promise<Compared> {
    return this.named("comparedAll", task);
  }

  /** A piece that a thread changes keeps its message as it was written. */
  private async ofPiece(name: string, task: RefitTask): Promise<Piece> {
    const made = await this.named<Piece>(name, await this.seen(task));
    return { ...made, message: task.piece.message };
  }

  /** The worker's other functions; the pool's own types know of the first alone. */
  private async named<T>(name: string, task: unknown): Promise<T> {
    return crossed((await this.pool.run(task as never, { name })) as unknown as Crossing<T>);
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
