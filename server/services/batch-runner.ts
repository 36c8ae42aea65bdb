import { setMaxListeners } from "node:events";
import { and, eq } from "drizzle-orm";
import { slidesOf } from "../../core/batch";
import { knownPlacement } from "../../core/piece";
import type { PlacementLookup } from "../../core/placements";
import { problem, type Problem } from "../../core/problem";
import type { FileName } from "../files/store";
import type { Make } from "../jobs/queue";
import { asProblem } from "../problems";
import type { RenderResult } from "../render/task";
import { Grouped } from "../store/grouped";
import type { batches } from "../store/tables";
import { failures, outputs } from "../store/tables";
import type { Placements } from "./placements";
import { VariationPieces } from "./variation-pieces";
import type { ServerContext } from "../context";

export type BatchRow = typeof batches.$inferSelect;
/** One of the files of a batch; `slide` is which one of a strip. */
export type BatchFile = { variation: number; placement: string; slide: number };

/** Finished files are written down together, this often (milliseconds). */
const WRITE_EVERY = 40;

/** Makes the files of batches, and writes down what is finished. */
export class BatchRunner {
  private readonly paces = new Map<string, Pace>();
  /** The last pace, or a careful guess. */
  secondsAMegapixel = 0.02;
  private readonly finishedFiles: Grouped<typeof outputs.$inferInsert>;

  constructor(
    private readonly context: ServerContext,
    private readonly placements: Placements,
    /** Told whenever one more file is finished, or could not be made. */
    private readonly moves: (row: BatchRow) => void,
  ) {
    this.finishedFiles = new Grouped(
      (rows) => context.store.write((tx) => tx.insert(outputs).values(rows).onConflictDoNothing()),
      WRITE_EVERY,
    );
  }

  /** How long `files` more will take at the pace so far; undefined for a batch that is not at work. */
  secondsLeft(id: string, files: number): number | undefined {
    return this.paces.get(id)?.secondsLeft(files);
  }

  /**
   * Makes what is not there yet. A file that cannot be made is noted and the others go on; without room on the disk none
   * can. Throws `store-full`, or the last file's problem when none at all could be made.
   */
  async make(row: BatchRow, { signal, again, moved }: Parameters<Make>[1]): Promise<void> {
    // Every task in flight listens.
    setMaxListeners(0, signal);
    const lookup = await this.placements.asOf(row.places);
    const files = await this.missing(row, lookup);
    const pieces = new VariationPieces(row, this.context.pool);
    const pace = new Pace(this.context.now);
    this.paces.set(row.id, pace);
    const full = new AbortController();
    const failed: Problem[] = [];
    let next = 0;
    const worker = async () => {
      while (next < files.length && !signal.aborted && !full.signal.aborted) {
        const file = files[next++]!;
        try {
          pace.add(await this.makeOne(row, file, { signal, again, lookup, pieces }));
          await moved();
        } catch (error) {
          if (signal.aborted) return;
          const why = asProblem(error);
          // A failure for which there is no room to note it down is one of room too.
          const noted = why.code !== "store-full" && (await this.note(row.id, file, why));
          if (noted) failed.push(why);
          else full.abort();
        }
        this.moves(row);
      }
    };
    try {
      // More than can be worked on, so that no thread waits while finished files are written down.
      await Promise.all(Array.from({ length: 3 * this.context.pool.size }, worker));
    } finally {
      this.paces.delete(row.id);
      this.secondsAMegapixel = pace.secondsAMegapixel ?? this.secondsAMegapixel;
    }
    if (full.signal.aborted) throw problem("store-full");
    signal.throwIfAborted();
    if (failed.length > 0 && failed.length === files.length) throw failed.at(-1)!;
  }

  /** The files that are not there: never made, or since gone or cut short. What had failed is tried again. */
  private async missing(row: BatchRow, lookup: PlacementLookup): Promise<BatchFile[]> {
    const { store } = this.context;
    const made = await store.read.select().from(outputs).where(eq(outputs.batch, row.id));
    const there = new Set<string>();
    for (const output of made)
      if (await this.isThere(row, output)) there.add(nameOf(output));
      else await store.write((tx) => tx.delete(outputs).where(isOutput(row.id, output)));
    await store.write((tx) => tx.delete(failures).where(eq(failures.batch, row.id)));
    return filesOf(row, lookup).filter((file) => !there.has(nameOf(file)));
  }

  async isThere(row: BatchRow, output: BatchFile & { bytes: number }): Promise<boolean> {
    const name = outputName(row, output);
    return (await this.context.made.size(name)) === output.bytes;
  }

  private async makeOne(
    row: BatchRow,
    file: BatchFile,
    { signal, again, lookup, pieces }: Making,
  ): Promise<RenderResult> {
    const path = this.context.made.place(outputName(row, file));
    const { format, scale } = row.request;
    const placement = knownPlacement(row.document, file.placement, lookup);
    const standing = await pieces.at(file.variation, placement, file.slide);
    // A file that was finished before the program was killed is whole, only not yet written down.
    const task = { ...standing, brand: row.brand, placement, format, scale, path, keep: again };
    const result = await this.context.pool.run(task, signal);
    await this.finishedFiles.add({ batch: row.id, ...file, ...result });
    return result;
  }

  /** Whether it could be written down. */
  private async note(batch: string, file: BatchFile, { message }: Problem): Promise<boolean> {
    const row = { batch, ...file, message };
    return this.context.store
      .write((tx) => tx.insert(failures).values(row).onConflictDoNothing())
      .then(
        () => true,
        () => false,
      );
  }
}

interface Making {
  signal: AbortSignal;
  again: boolean;
  lookup: PlacementLookup;
  pieces: VariationPieces;
}

/** How fast a batch is made. */
class Pace {
  private count = 0;
  private megapixels = 0;
  private readonly started: number;

  constructor(private readonly now: () => Date) {
    this.started = now().getTime();
  }

  add({ width, height }: RenderResult): void {
    this.count++;
    this.megapixels += (width * height) / 1e6;
  }

  secondsLeft(files: number): number | undefined {
    return this.count === 0 ? undefined : Math.ceil((files * this.seconds) / this.count);
  }

  get secondsAMegapixel(): number | undefined {
    return this.megapixels === 0 ? undefined : this.seconds / this.megapixels;
  }

  private get seconds(): number {
    return (this.now().getTime() - this.started) / 1000;
  }
}

/** What a finished file is called; only whole files are there. */
export const outputName = (
  { id, request: { format } }: Pick<BatchRow, "id" | "request">,
  file: BatchFile,
): FileName => [...batchName(id), `${nameOf(file)}.${format}`];

/** All files of a batch. */
export const batchName = (id: string): FileName => ["batches", id];

/** Size by size: what is chosen among is soon whole, and pictures and canvases of one size serve for the next file. */
function filesOf(
  { document, request, variations }: BatchRow,
  lookup: PlacementLookup,
): BatchFile[] {
  return request.placements.flatMap((id) => {
    const placement = knownPlacement(document, id, lookup);
    return variations.flatMap((own, variation) =>
      slidesOf(document, own, placement).map((slide) => ({ variation, placement: id, slide })),
    );
  });
}

/** A comma stands in no id, so that no two files are called the same. */
const nameOf = ({ variation, placement, slide }: BatchFile): string =>
  `${variation}-${placement}${slide > 0 ? `,${slide}` : ""}`;

/** Where a file of a batch is written down. */
export const isOutput = (batch: string, { variation, placement, slide }: BatchFile) =>
  and(
    eq(outputs.batch, batch),
    eq(outputs.variation, variation),
    eq(outputs.placement, placement),
    eq(outputs.slide, slide),
  );
