import { setMaxListeners } from "node:events";
import { eq } from "drizzle-orm";
import { applyVariation } from "../../core/batch";
import { knownPlacement } from "../../core/piece";
import type { PlacementLookup } from "../../core/placements";
import { within } from "../files/within";
import { asProblem } from "../problems";
import { recoverOutput } from "../render/recover";
import type { RenderResult } from "../render/task";
import { Grouped } from "../store/grouped";
import { batches, outputs } from "../store/tables";
import type { Placements } from "./placements";
import type { Surroundings } from "./services";

export type BatchRow = typeof batches.$inferSelect;
type Job = { variation: number; placement: string };

/** Finished files are written down together, this often (milliseconds). */
const WRITE_EVERY = 40;

/** Makes the files of batches, several batches at once if need be, and writes down what is finished. */
export class BatchRunner {
  private readonly running = new Map<string, Run>();
  private readonly finishedFiles: Grouped<typeof outputs.$inferInsert>;

  constructor(
    private readonly around: Surroundings,
    private readonly placements: Placements,
  ) {
    this.finishedFiles = new Grouped(
      (rows) => around.store.write((tx) => tx.insert(outputs).values(rows).onConflictDoNothing()),
      WRITE_EVERY,
    );
  }

  /** Begins, or with `again` goes on with what was begun before the program ended. */
  run(row: BatchRow, again = false): void {
    const run = new Run(this.around.now, again);
    this.running.set(row.id, run);
    run.ended = this.make(row, run)
      .catch((error: unknown) => this.fail(row.id, error))
      .finally(() => this.running.delete(row.id));
  }

  /** Stops one batch and waits until its last file is whole or given up. */
  async stop(id: string): Promise<void> {
    const run = this.running.get(id);
    run?.abort.abort();
    await run?.ended;
  }

  async stopAll(): Promise<void> {
    await Promise.all([...this.running.keys()].map((id) => this.stop(id)));
  }

  /** How long `files` more will take at the pace so far; undefined for a batch that is not at work. */
  secondsLeft(id: string, files: number): number | undefined {
    return this.running.get(id)?.secondsLeft(files);
  }

  private async make(row: BatchRow, run: Run): Promise<void> {
    const made = await this.around.store.read
      .select()
      .from(outputs)
      .where(eq(outputs.batch, row.id));
    const done = new Set(made.map((output) => `${output.variation}-${output.placement}`));
    const jobs = jobsOf(row).filter((job) => !done.has(`${job.variation}-${job.placement}`));
    const lookup = await this.placements.lookup();
    let failed = 0;
    let next = 0;
    const worker = async () => {
      while (next < jobs.length && !run.abort.signal.aborted) {
        const job = jobs[next++]!;
        try {
          const result = await this.makeOne(row, job, run, lookup);
          await this.finishedFiles.add({ batch: row.id, ...job, ...result });
          run.count++;
        } catch (error) {
          if (run.abort.signal.aborted) return;
          failed++;
          await this.noteFailure(row.id, error);
        }
      }
    };
    // More than can be worked on, so that no thread waits while finished files are written down.
    await Promise.all(Array.from({ length: 3 * this.around.pool.size }, worker));
    if (run.abort.signal.aborted) return;
    await this.setState(row.id, failed === jobs.length && failed > 0 ? "failed" : "done");
  }

  private async makeOne(
    row: BatchRow,
    job: Job,
    run: Run,
    lookup: PlacementLookup,
  ): Promise<RenderResult> {
    const path = outputPath(this.around.folder, row, job.variation, job.placement);
    const { format, scale } = row.request;
    const piece = applyVariation(row.document, row.variations[job.variation]!);
    const placement = knownPlacement(piece, job.placement, lookup);
    const { pool } = this.around;
    const task = await pool.seen({ piece, brand: row.brand, placement, format, scale, path });
    // A file that was finished before the program was killed is whole, only not yet written down.
    const recovered = run.again ? await recoverOutput(task, this.around.files) : undefined;
    return recovered ?? pool.run(task, run.abort.signal);
  }

  private async setState(id: string, state: BatchRow["state"]): Promise<void> {
    await this.around.store.write((tx) =>
      tx.update(batches).set({ state }).where(eq(batches.id, id)),
    );
  }

  private async noteFailure(id: string, error: unknown): Promise<void> {
    const { message } = asProblem(error);
    await this.around.store.write(async (tx) => {
      const [row] = await tx.select().from(batches).where(eq(batches.id, id));
      await tx
        .update(batches)
        .set({ failed: (row?.failed ?? 0) + 1, message })
        .where(eq(batches.id, id));
    });
  }

  private async fail(id: string, error: unknown): Promise<void> {
    const { message } = asProblem(error);
    await this.around.store
      .write((tx) => tx.update(batches).set({ state: "failed", message }).where(eq(batches.id, id)))
      .catch(() => undefined);
  }
}

/** One batch at work: its pace, and the way to stop it. */
class Run {
  readonly abort = new AbortController();
  ended: Promise<void> = Promise.resolve();
  count = 0;
  private readonly started: number;

  constructor(
    private readonly now: () => Date,
    /** It goes on with what was begun before the program ended. */
    readonly again: boolean,
  ) {
    this.started = now().getTime();
    // Every task in flight listens.
    setMaxListeners(0, this.abort.signal);
  }

  secondsLeft(files: number): number | undefined {
    if (this.count === 0) return undefined;
    const pace = (this.now().getTime() - this.started) / this.count;
    return Math.ceil((files * pace) / 1000);
  }
}

/** Where a finished file lies; only whole files stand there. */
export function outputPath(
  folder: string,
  row: Pick<BatchRow, "id" | "request">,
  variation: number,
  placement: string,
): string {
  return within(folder, "batches", row.id, `${variation}-${placement}.${row.request.format}`);
}

const jobsOf = (row: BatchRow): Job[] =>
  row.variations.flatMap((_, variation) =>
    row.request.placements.map((placement) => ({ variation, placement })),
  );
