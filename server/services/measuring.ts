import { and, eq } from "drizzle-orm";
import { knownPlacement } from "../../core/piece";
import type { ServerContext } from "../context";
import { Grouped } from "../store/grouped";
import { outputs } from "../store/tables";
import { isOutput, outputName, type BatchRow } from "./batch-runner";
import type { Placements } from "./placements";
import { VariationPieces } from "./variation-pieces";

type Output = typeof outputs.$inferSelect;

/** What is measured is written down together, this often (milliseconds). */
const WRITE_EVERY = 200;

/**
 * Measures finished files of a batch, one placement at a time and only once somebody looks at it: making files is
 * quicker without, and most placements are never ranked.
 */
export class Measuring {
  private readonly going = new Set<string>();
  /** Files that could not be measured, until the program is started again. */
  private readonly failed = new Set<string>();

  constructor(
    private readonly context: ServerContext,
    private readonly placements: Placements,
    /** Told whenever one more file is measured, or cannot be. */
    private readonly moves: (row: BatchRow) => void,
  ) {}

  /** Begins with what is not measured yet, and answers how many that are. A file that cannot be measured stays without. */
  begin(row: BatchRow, placement: string, made: readonly Output[]): number {
    const left = made.filter((one) => one.measured === null && !this.failed.has(nameOf(one)));
    const key = `${row.id} ${placement}`;
    if (left.length === 0 || this.going.has(key)) return left.length;
    this.going.add(key);
    this.measure(row, placement, left)
      // The server closes, or the batch is gone: whoever looks again begins again.
      .catch(() => undefined)
      .finally(() => this.going.delete(key));
    return left.length;
  }

  private async measure(row: BatchRow, placement: string, left: readonly Output[]): Promise<void> {
    const { pool, made, store } = this.context;
    const lookup = await this.placements.asOf(row.places);
    const place = knownPlacement(row.document, placement, lookup);
    const pieces = new VariationPieces(row, pool);
    const written = new Grouped<Output>(
      (rows) =>
        store.write(async (tx) => {
          for (const one of rows)
            await tx.update(outputs).set({ measured: one.measured }).where(isSameFile(one));
        }),
      WRITE_EVERY,
    );
    let next = 0;
    const worker = async (): Promise<void> => {
      while (next < left.length) {
        const one = left[next++]!;
        const standing = await pieces.at(one.variation, place, one.slide);
        const path = made.place(outputName(row, one));
        const task = { ...standing, brand: row.brand, placement: place, path };
        const measured = await pool.measured(task).catch(() => undefined);
        if (measured) await written.add({ ...one, measured });
        else this.failed.add(nameOf(one));
        this.moves(row);
      }
    };
    await Promise.all(Array.from({ length: pool.size }, worker));
  }
}

/** One that was made again since is another file. */
const nameOf = ({ batch, variation, placement, slide, sha256 }: Output): string =>
  [batch, variation, placement, slide, sha256].join(" ");

const isSameFile = (one: Output) => and(isOutput(one.batch, one), eq(outputs.sha256, one.sha256));
