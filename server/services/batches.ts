import { and, count, desc, eq, gte, inArray, isNull, lt, sum } from "drizzle-orm";
import {
  isUnderWay,
  type BatchAnswer,
  type BatchPlan,
  type BatchRequest,
  type ImageFormat,
  type OutputAnswer,
  type PieceAnswer,
  type VariationAnswer,
} from "../../core/api";
import { countFiles, valuesOf, variationName } from "../../core/batch";
import type { FileId } from "../../core/files";
import { problem } from "../../core/problem";
import type { FileName } from "../files/store";
import type { Make } from "../jobs/queue";
import { batches, failures, outputs } from "../store/tables";
import { BatchNews } from "./batch-news";
import { BatchBeginnings } from "./batch-begin";
import { namesFor } from "./batch-request";
import { BatchRunner, isOutput, outputName, type BatchFile, type BatchRow } from "./batch-runner";
import type { Library } from "./library";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import type { Templates } from "./templates";
import { Remaking } from "./remaking";
import type { ServerContext } from "../context";

/** So many batches are made at once; the others wait. */
const AT_ONCE = 2;

/** Makes a piece in many variations. What is running goes on after a restart. */
export class Batches {
  readonly news: BatchNews;
  private readonly beginnings: BatchBeginnings;
  private readonly runner: BatchRunner;
  private readonly remaking: Remaking;

  constructor(
    private readonly context: ServerContext,
    pieces: Pieces,
    private readonly library: Library,
    placements: Placements,
    templates: Templates,
  ) {
    this.news = new BatchNews((id) => this.get(id));
    this.beginnings = new BatchBeginnings(context, pieces, library, placements, templates);
    this.runner = new BatchRunner(context, placements, (row) => this.news.soon(row));
    this.remaking = new Remaking(context, pieces, library, placements);
    const make: Make = async (id, about) => this.runner.make(await this.row(id), about);
    context.jobs.handle("batch", make, AT_ONCE);
    context.jobs.watch((id) => void this.news.now(id));
  }

  /** What a request would make, before anything is made. */
  plan(piece: string, request: BatchRequest): Promise<BatchPlan> {
    return this.beginnings.plan(piece, request, this.runner.secondsAMegapixel);
  }

  async start(piece: string, request: BatchRequest): Promise<BatchAnswer> {
    const row = await this.beginnings.row(piece, request);
    const { store, jobs } = this.context;
    await store.write(async (tx) => {
      await tx.insert(batches).values(row);
      await jobs.add(tx, "batch", row.id);
    });
    await jobs.next();
    return this.get(row.id);
  }

  async get(id: string): Promise<BatchAnswer> {
    return this.answer(await this.row(id));
  }

  /** The batches of some pieces, the newest first. */
  async of(pieces: readonly string[]): Promise<BatchAnswer[]> {
    const rows = await this.context.store.read
      .select()
      .from(batches)
      .where(and(inArray(batches.piece, [...pieces]), isNull(batches.deleted)))
      .orderBy(desc(batches.created));
    return Promise.all(rows.map((row) => this.answer(row)));
  }

  /** Pauses one, stops it for good, or goes on with it; what is finished stays, and is not made again. */
  async turn(id: string, to: "pause" | "cancel" | "resume"): Promise<BatchAnswer> {
    await this.row(id);
    await this.context.jobs[to](id);
    return this.get(id);
  }

  /** Makes those files again that would come out otherwise now. Throws `batch-under-way` for one that is being made. */
  async again(id: string): Promise<BatchAnswer> {
    const facts = await this.context.jobs.facts([id]);
    if (isUnderWay(facts.get(id)?.state ?? "done")) throw problem("batch-under-way");
    await this.remaking.again(await this.row(id));
    return this.get(id);
  }

  /** A variation as a piece, to be changed by hand. Throws `not-found` for one that the batch does not have. */
  async openVariation(id: string, variation: number): Promise<PieceAnswer> {
    return this.remaking.open(await this.rowWith(id, variation), variation);
  }

  async variations(
    id: string,
    from: number,
    to: number,
  ): Promise<{ total: number; variations: VariationAnswer[] }> {
    const row = await this.row(id);
    const made = await this.context.store.read
      .select()
      .from(outputs)
      .where(and(eq(outputs.batch, id), gte(outputs.variation, from), lt(outputs.variation, to)));
    made.sort(inOrderOf(row));
    const names = await namesFor(this.library, row);
    const variations = row.variations.slice(from, to).map((variation, offset) => {
      const index = from + offset;
      const own = made.filter((output) => output.variation === index);
      return {
        index,
        name: variationName(index, row.variations.length),
        values: valuesOf(variation, names),
        outputs: own.map(outputAnswer),
      };
    });
    return { total: row.variations.length, variations };
  }

  /** What a delivery needs: the batch as it was started, and which of its files are there. */
  async finished(id: string): Promise<{ row: BatchRow; made: (typeof outputs.$inferSelect)[] }> {
    const row = await this.row(id);
    const made = await this.context.store.read.select().from(outputs).where(eq(outputs.batch, id));
    return { row, made: made.sort(inOrderOf(row)) };
  }

  /** Whether a file that was made is still whole. */
  isThere(row: BatchRow, output: typeof outputs.$inferSelect): Promise<boolean> {
    return this.runner.isThere(row, output);
  }

  /** A finished file, and what kind of picture it is. */
  async outputFile(
    id: string,
    file: BatchFile,
  ): Promise<{ name: FileName; format: ImageFormat; sha256: FileId }> {
    const row = await this.row(id);
    const name = outputName(row, file);
    const [output] = await this.context.store.read.select().from(outputs).where(isOutput(id, file));
    if (!output || (await this.context.made.size(name)) === undefined) {
      const { variation, placement } = file;
      throw problem("not-found", { what: "finished file", id: `${variation}-${placement}` });
    }
    return { name, format: row.request.format, sha256: output.sha256 };
  }

  /** Throws `not-found`, also for one in the bin. */
  async row(id: string): Promise<BatchRow> {
    const isThere = and(eq(batches.id, id), isNull(batches.deleted));
    const [row] = await this.context.store.read.select().from(batches).where(isThere);
    if (!row) throw problem("not-found", { what: "batch", id });
    return row;
  }

  /** Throws `not-found` for a variation that the batch does not have. */
  async rowWith(id: string, variation: number): Promise<BatchRow> {
    const row = await this.row(id);
    if (!row.variations[variation])
      throw problem("not-found", { what: "variation", id: String(variation) });
    return row;
  }

  private async answer(row: BatchRow): Promise<BatchAnswer> {
    const { read } = this.context.store;
    const [[counted], failed, jobs] = await Promise.all([
      read
        .select({ made: count(), apart: sum(outputs.apart) })
        .from(outputs)
        .where(eq(outputs.batch, row.id)),
      read.select().from(failures).where(eq(failures.batch, row.id)),
      this.context.jobs.facts([row.id]),
    ]);
    const { state, message = failed.at(-1)?.message } = jobs.get(row.id) ?? { state: "done" };
    const { document, variations, request } = row;
    const places = (row.places ?? []).filter(({ id }) => request.placements.includes(id));
    // Of before placements were kept a batch had one file for each variation and size.
    const files = row.places
      ? countFiles(document, variations, places)
      : variations.length * request.placements.length;
    const made = counted?.made ?? 0;
    const secondsLeft = this.runner.secondsLeft(row.id, files - made);
    return {
      id: row.id,
      piece: row.piece,
      state,
      started: row.created,
      pairing: row.request.pairing,
      placements: row.request.placements,
      format: row.request.format,
      scale: row.request.scale,
      variations: row.variations.length,
      files,
      made,
      failed: failed.length,
      apart: Number(counted?.apart ?? 0),
      outdated: isUnderWay(state) ? 0 : (await this.remaking.outdated(row)).length,
      ...(secondsLeft ? { secondsLeft } : {}),
      ...(message ? { message } : {}),
    };
  }
}

/** Variation by variation, on each the sizes as they were chosen, of each its slides. */
function inOrderOf({ request }: BatchRow): (a: BatchFile, b: BatchFile) => number {
  const at = new Map(request.placements.map((placement, index) => [placement, index]));
  return (a, b) =>
    a.variation - b.variation || at.get(a.placement)! - at.get(b.placement)! || a.slide - b.slide;
}

/** A finished file as it is answered. */
export function outputAnswer({
  batch,
  measured: _measured,
  ...output
}: typeof outputs.$inferSelect): OutputAnswer {
  const file = `${output.variation}/${encodeURIComponent(output.placement)}`;
  // One that is made again has another address, so that none is shown that was kept of the one before.
  const which = new URLSearchParams({
    ...(output.slide > 0 ? { slide: String(output.slide) } : {}),
    version: output.sha256.slice(0, 12),
  });
  return { ...output, url: `/api/batches/${batch}/outputs/${file}?${which.toString()}` };
}
