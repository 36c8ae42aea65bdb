import { setMaxListeners } from "node:events";
import { join } from "node:path";
import { and, desc, eq, inArray, isNull } from "drizzle-orm";
import {
  altText,
  creditsOf,
  type DeliveryAnswer,
  type DeliveryRequest,
  type JobFacts,
  type Manifest,
  type ManifestFile,
} from "../../core/api";
import { Namer, valuesOf, variationName } from "../../core/batch";
import type { Brand } from "../../core/brand";
import { knownPlacement, messagePictures, type Piece } from "../../core/piece";
import { refuseUnpaintable, type Placement, type PlacementLookup } from "../../core/placements";
import { problem } from "../../core/problem";
import { slideName, slideOf, slidesFor } from "../../core/strip";
import { withScratch } from "../files/scratch";
import type { FileName } from "../files/store";
import type { Make } from "../jobs/queue";
import { manifestTable } from "../files/manifest";
import { ZipFile } from "../files/zip";
import type { RenderResult, RenderTask } from "../render/task";
import { deliveries, type outputs } from "../store/tables";
import { namesFor } from "./batch-request";
import { outputName } from "./batch-runner";
import type { Batches } from "./batches";
import type { Library } from "./library";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import { VariationPieces } from "./variation-pieces";
import type { ServerContext } from "../context";

type DeliveryRow = typeof deliveries.$inferSelect;

/** What a zip is filled with, and where what is made for it lies meanwhile. */
interface Filling {
  row: DeliveryRow;
  crate: string;
  items: Item[];
  scratch: string;
  signal: AbortSignal;
}

/** What is put into a zip in order, as it comes. */
interface Packing extends Pick<Filling, "row" | "crate" | "items"> {
  making: Promise<Ready>[];
}

/** One file to hand over: made anew, or taken from a batch that made it the same way. */
interface Item {
  piece: Piece;
  brand: Brand;
  placement: Placement;
  variation?: string;
  /** Of a variation: its values by column. */
  values?: Record<string, string>;
  /** Of a strip: which one in its order, from 0, and of how many. */
  slide?: { at: number; of: number };
  ready?: Ready;
  /** How a variation that is not ready stands. */
  standing?: () => ReturnType<VariationPieces["at"]>;
}

interface Ready {
  path: string;
  result: RenderResult;
}

/** So many zips are made at once; the others wait. */
const AT_ONCE = 2;

/** Zips of chosen sizes and variations, with a manifest. */
export class Deliveries {
  constructor(
    private readonly context: ServerContext,
    private readonly pieces: Pieces,
    private readonly library: Library,
    private readonly batches: Batches,
    private readonly placements: Placements,
  ) {
    const make: Make = async (id, { signal }) => this.make(await this.row(id), signal);
    context.jobs.handle("delivery", make, AT_ONCE);
  }

  async start(pieceId: string, request: DeliveryRequest): Promise<DeliveryAnswer> {
    const { piece, crate } = await this.pieces.get(pieceId);
    const brand = await this.library.brand(piece.brand);
    const items = await this.items(piece, brand, request, await this.placements.lookup());
    if (items.length === 0) throw problem("delivery-empty");
    // A pattern that cannot be read is said now.
    namerFor(request, items);
    for (const { placement, ready } of items)
      if (!ready && request.format !== "svg") refuseUnpaintable(placement, request.scale);
    const id = this.context.newId();
    const title = new Namer("{crate}_{piece}").name(
      { crate: crate.name, piece: piece.title, placement: "", variation: "", width: 0, height: 0 },
      "zip",
    );
    const { store, jobs } = this.context;
    await store.write(async (tx) => {
      await tx.insert(deliveries).values({
        id,
        piece: pieceId,
        request,
        files: items.length,
        name: title,
        document: piece,
        brand,
        places: [...new Set(items.map(({ placement }) => placement))],
        created: this.context.now().toISOString(),
      });
      await jobs.add(tx, "delivery", id);
    });
    await jobs.next();
    return this.get(id);
  }

  /** Stops making it; nothing of it is kept. */
  async cancel(id: string): Promise<DeliveryAnswer> {
    await this.row(id);
    await this.context.jobs.cancel(id);
    return this.get(id);
  }

  /** Makes one anew that was paused, cancelled or has failed, of the piece as it was then. */
  async resume(id: string): Promise<DeliveryAnswer> {
    await this.row(id);
    await this.context.jobs.resume(id);
    return this.get(id);
  }

  async get(id: string): Promise<DeliveryAnswer> {
    const jobs = await this.context.jobs.facts([id]);
    return answerOf(await this.row(id), jobs.get(id));
  }

  private async row(id: string): Promise<DeliveryRow> {
    const { read } = this.context.store;
    const isThere = and(eq(deliveries.id, id), isNull(deliveries.deleted));
    const [row] = await read.select().from(deliveries).where(isThere);
    if (!row) throw problem("not-found", { what: "delivery", id });
    return row;
  }

  /** The deliveries of some pieces, the newest first. */
  async of(pieces: readonly string[]): Promise<DeliveryAnswer[]> {
    const rows = await this.context.store.read
      .select()
      .from(deliveries)
      .where(and(inArray(deliveries.piece, [...pieces]), isNull(deliveries.deleted)))
      .orderBy(desc(deliveries.created));
    const jobs = await this.context.jobs.facts(rows.map(({ id }) => id));
    return rows.map((row) => answerOf(row, jobs.get(row.id)));
  }

  /** The finished zip, and what it is called where it goes. */
  async file(id: string): Promise<{ file: FileName; name: string }> {
    const { state, name } = await this.get(id);
    const file = deliveryName(id);
    if (state !== "done" || (await this.context.made.size(file)) === undefined)
      throw problem("not-found", { what: "finished delivery", id });
    return { file, name };
  }

  private async items(
    piece: Piece,
    brand: Brand,
    request: DeliveryRequest,
    lookup: PlacementLookup,
  ): Promise<Item[]> {
    const own = request.sizes.flatMap((id): Item[] => {
      const placement = knownPlacement(piece, id, lookup);
      const slides = slidesFor(piece, placement);
      return slides.map((index, at) => ({
        piece: slideOf(piece, index),
        brand,
        placement,
        ...(slides.length > 1 ? { slide: { at, of: slides.length } } : {}),
      }));
    });
    return [...own, ...(await this.ofBatches(request, lookup))];
  }

  private async ofBatches(request: DeliveryRequest, lookup: PlacementLookup): Promise<Item[]> {
    const items: Item[] = [];
    for (const chosen of request.batches) {
      const { row, made } = await this.batches.finished(chosen.id);
      const wanted = chosen.variations ? new Set(chosen.variations) : undefined;
      const names = await namesFor(this.library, row.brand);
      const pieces = new VariationPieces(row, this.context.pool);
      const sameForm = row.request.format === request.format && row.request.scale === request.scale;
      for (const output of made) {
        if (wanted && !wanted.has(output.variation)) continue;
        const path = this.context.made.place(outputName(row, output.variation, output.placement));
        const isLight = output.bytes <= (request.most ?? Infinity);
        const ready = sameForm && isLight && (await this.batches.isThere(row, output));
        const { variation } = output;
        const placement = knownPlacement(row.document, output.placement, lookup);
        items.push({
          piece: await pieces.piece(variation),
          values: valuesOf(row.variations[variation]!, names),
          brand: row.brand,
          placement,
          variation: variationName(variation, row.variations.length),
          ...(ready
            ? { ready: { path, result: resultOf(output) } }
            : { standing: () => pieces.at(variation, placement) }),
        });
      }
    }
    return items;
  }

  /** Nothing stands in its place before it is whole, and nothing is left of one that is given up. */
  private async make(row: DeliveryRow, signal: AbortSignal): Promise<void> {
    const { document: piece, brand, request } = row;
    if (!piece || !brand) throw problem("delivery-empty");
    // As it was when it was asked for; what has no place of its own there is a size of the piece.
    const lookup = await this.placements.asOf(row.places);
    const items = await this.items(piece, brand, request, lookup);
    const { crate } = await this.pieces.get(row.piece);
    await withScratch(this.context.folder, async (scratch) => {
      const zip = await ZipFile.create(
        this.context.made.place(deliveryName(row.id)),
        this.context.now(),
      );
      try {
        const bytes = await this.fill(zip, { row, crate: crate.name, items, scratch, signal });
        await this.update(row.id, { made: items.length, bytes });
      } finally {
        await zip.discard();
      }
    });
  }

  /** Answers the zip's length in bytes. */
  private async fill(
    zip: ZipFile,
    { row, crate, items, scratch, signal }: Filling,
  ): Promise<number> {
    const { request } = row;
    const given = new AbortController();
    const either = AbortSignal.any([signal, given.signal]);
    // Every picture in the making listens.
    setMaxListeners(0, either);
    const making = items.map((item, index) =>
      this.image(item, join(scratch, String(index)), request, either),
    );
    // One may fail before its turn to be waited for, and a failure that nobody hears ends the program.
    for (const one of making) one.catch(() => undefined);
    try {
      return await this.pack(zip, { row, crate, items, making });
    } finally {
      // When one fails the others are given up, and none writes into the folder after it is gone.
      given.abort();
      await Promise.allSettled(making);
    }
  }

  private async pack(zip: ZipFile, { row, crate, items, making }: Packing): Promise<number> {
    const { request } = row;
    const namer = namerFor(request, items);
    const shown = new Set(items.flatMap(({ piece }) => messagePictures(piece.message)));
    const notes = await this.library.notesOf([...shown]);
    const files: ManifestFile[] = [];
    for (const [index, item] of items.entries()) {
      const { path, result } = await making[index]!;
      const file = fileOf(namer, crate, item, result, request);
      zip.add(file.file, path, false);
      files.push({ ...file, ...creditsOf(item.piece, notes) });
      if (index % 10 === 9) await this.update(row.id, { made: index + 1 });
    }
    const manifest: Manifest = {
      format: "zestcrate/manifest",
      version: 1,
      crate,
      piece: items[0]!.piece.title,
      brand: items[0]!.brand.name,
      scale: request.scale,
      files,
    };
    zip.add("manifest.json", Buffer.from(`${JSON.stringify(manifest, null, 2)}\n`), true);
    zip.add("manifest.csv", Buffer.from(manifestTable(manifest)), true);
    return zip.finish();
  }

  private async image(
    { piece, brand, placement, ready, standing }: Item,
    path: string,
    { format, scale, most }: DeliveryRequest,
    signal: AbortSignal,
  ): Promise<Ready> {
    if (ready) return ready;
    const own = standing ? await standing() : { piece };
    const task: RenderTask = { ...own, brand, placement, format, scale, path };
    if (most !== undefined) task.most = most;
    return { path, result: await this.context.pool.run(task, signal) };
  }

  private async update(id: string, change: Partial<typeof deliveries.$inferInsert>): Promise<void> {
    await this.context.store.write((tx) =>
      tx.update(deliveries).set(change).where(eq(deliveries.id, id)),
    );
  }
}

/** What a finished zip is called where it is kept. */
export const deliveryName = (id: string): FileName => ["deliveries", `${id}.zip`];

function fileOf(
  namer: Namer,
  crate: string,
  { piece, placement: { id: placement }, variation, values, slide }: Item,
  { width, height, bytes, sha256, findings, quality }: Ready["result"],
  { format, most = Infinity }: DeliveryRequest,
): ManifestFile {
  const parts = {
    crate,
    piece: piece.title,
    placement,
    variation: variation ?? "",
    slide: slide ? slideName(slide.at, slide.of) : "",
    width,
    height,
    values: values ?? {},
  };
  const file = namer.name(parts, format === "jpeg" ? "jpg" : format);
  const which = {
    ...(variation ? { variation } : {}),
    ...(values ? { values } : {}),
    ...(slide ? { slide: slide.at + 1 } : {}),
  };
  const weight = {
    ...(quality === undefined ? {} : { quality }),
    ...(bytes > most ? { heavy: true as const } : {}),
  };
  const said = { alt: altText(piece), findings, ...weight };
  return { file, placement, ...which, width, height, bytes, sha256, ...said };
}

/** What is known of a file that a batch has made. */
const resultOf = ({
  width,
  height,
  bytes,
  sha256,
  findings,
  apart,
}: typeof outputs.$inferSelect): RenderResult => ({
  width,
  height,
  bytes,
  sha256,
  findings,
  apart,
});

/** Files are also called by the columns of the batches that they come from. */
const namerFor = ({ pattern }: DeliveryRequest, items: readonly Item[]): Namer =>
  new Namer(pattern, [...new Set(items.flatMap(({ values }) => Object.keys(values ?? {})))]);

function answerOf(row: DeliveryRow, job: JobFacts | undefined): DeliveryAnswer {
  const { id, piece, made, files, bytes, name, created } = row;
  return { id, piece, ...(job ?? { state: "failed" }), made, files, bytes, name, created };
}
