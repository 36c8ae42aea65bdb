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
import {
  BATCH_LIMITS,
  columnNames,
  combine,
  countFiles,
  countVariations,
  valuesOf,
  variationName,
} from "../../core/batch";
import type { FileId } from "../../core/files";
import { knownPlacement, type Piece } from "../../core/piece";
import { refuseUnpaintable, type Placement, type PlacementLookup } from "../../core/placements";
import { problem } from "../../core/problem";
import { slidesFor } from "../../core/strip";
import type { FileName } from "../files/store";
import type { Make } from "../jobs/queue";
import { batches, failures, outputs } from "../store/tables";
import { BatchNews } from "./batch-news";
import { bytesFor } from "./batch-bytes";
import { arranging, combiningOf, namesFor, type Known } from "./batch-request";
import { BatchRunner, isOutput, outputName, type BatchFile, type BatchRow } from "./batch-runner";
import type { Library } from "./library";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import type { Templates } from "./templates";
import { placesFor, Remaking } from "./remaking";
import type { ServerContext } from "../context";

/** So many batches are made at once; the others wait. */
const AT_ONCE = 2;

/** Makes a piece in many variations. What is running goes on after a restart. */
export class Batches {
  readonly news: BatchNews;
  private readonly runner: BatchRunner;
  private readonly remaking: Remaking;

  constructor(
    private readonly context: ServerContext,
    private readonly pieces: Pieces,
    private readonly library: Library,
    private readonly placements: Placements,
    private readonly templates: Templates,
  ) {
    this.news = new BatchNews((id) => this.get(id));
    this.runner = new BatchRunner(context, placements, (row) => this.news.soon(row));
    this.remaking = new Remaking(context, pieces, library, placements);
    const make: Make = async (id, about) => this.runner.make(await this.row(id), about);
    context.jobs.handle("batch", make, AT_ONCE);
    context.jobs.watch((id) => void this.news.now(id));
  }

  /** What a request would make, before anything is made. */
  async plan(pieceId: string, request: BatchRequest): Promise<BatchPlan> {
    const { piece } = await this.pieces.get(pieceId);
    const known = await this.known();
    const places = placesOf(piece, request, known.lookup);
    const combining = await combiningOf(piece, request, known);
    const count = countVariations(combining);
    await this.prepare(piece, places);
    const { columns, notes } = combining.lists;
    // Sizes of its own are those of each variation; more than can be made are not looked through.
    const areOwn = columns.includes("sizes") && count <= BATCH_LIMITS.files;
    const files = places.map((place) =>
      areOwn
        ? countFiles(piece, [...combine(combining)], [place])
        : count * slidesFor(piece, place).length,
    );
    const megapixels = places.reduce(
      (sum, { width, height }, at) => sum + (files[at]! * width * height) / 1e6,
      0,
    );
    return {
      variations: count,
      files: files.reduce((sum, own) => sum + own, 0),
      seconds: Math.ceil(megapixels * request.scale ** 2 * this.runner.secondsAMegapixel),
      bytes: await bytesFor(this.context.store, megapixels * request.scale ** 2, request.format),
      slots: columns.map(columnNames(piece)),
      notes,
    };
  }

  /** Who asks what would be made has it made soon. Nobody waits for that, and nothing is lost where it fails. */
  private async prepare(piece: Piece, [placement]: readonly Placement[]): Promise<void> {
    if (!placement) return;
    const brand = await this.library.brand(piece.brand);
    this.context.pool.prepare({ piece, brand, placement }).catch(() => undefined);
  }

  async start(pieceId: string, request: BatchRequest): Promise<BatchAnswer> {
    const { piece } = await this.pieces.get(pieceId);
    const brand = await this.library.brand(piece.brand);
    const known = await this.known();
    const places = placesOf(piece, request, known.lookup);
    const combining = await combiningOf(piece, request, known);
    const least = countVariations(combining) * request.placements.length;
    if (least === 0) throw problem("batch-empty");
    // Where each has sizes of its own it is known only when they are combined.
    if (!combining.lists.columns.includes("sizes")) refuseMoreThan(BATCH_LIMITS.files, least);
    refuseMoreThan(BATCH_LIMITS.files, countVariations(combining));
    const variations = [...combine(combining)];
    const files = countFiles(piece, variations, places);
    if (files === 0) throw problem("batch-empty");
    refuseMoreThan(BATCH_LIMITS.files, files);
    const used = new Set(variations.map(({ template }) => template));
    const { table: _table, ...kept } = request;
    const row: typeof batches.$inferInsert = {
      id: this.context.newId(),
      piece: pieceId,
      request: kept,
      variations,
      document: piece,
      brand,
      templates: (await arranging(piece, known)).filter(({ id }) => used.has(id)),
      places: placesFor(piece, request.placements, known.lookup),
      created: this.context.now().toISOString(),
    };
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

  /** Stops making more; what is finished stays. */
  async cancel(id: string): Promise<BatchAnswer> {
    await this.row(id);
    await this.context.jobs.cancel(id);
    return this.get(id);
  }

  /** Makes no more until a person says so, also after a restart. */
  async pause(id: string): Promise<BatchAnswer> {
    await this.row(id);
    await this.context.jobs.pause(id);
    return this.get(id);
  }

  /** Goes on with one that was paused, cancelled or has failed; what is finished is not made again. */
  async resume(id: string): Promise<BatchAnswer> {
    await this.row(id);
    await this.context.jobs.resume(id);
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

  private async known(): Promise<Known> {
    const { library, templates } = this;
    return { library, templates, lookup: await this.placements.lookup() };
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

function refuseMoreThan(most: number, count: number): void {
  if (count > most) throw problem("batch-too-many", { count, most });
}

/** Throws `placement-unknown`, or `size-too-large` before anything is begun. */
function placesOf(piece: Piece, request: BatchRequest, lookup: PlacementLookup): Placement[] {
  const places = request.placements.map((placement) => knownPlacement(piece, placement, lookup));
  if (request.format !== "svg") for (const place of places) refuseUnpaintable(place, request.scale);
  return places;
}
