import { setMaxListeners } from "node:events";
import { join } from "node:path";
import { and, desc, eq, inArray, isNull } from "drizzle-orm";
import {
  creditsOf,
  type DeliveryAnswer,
  type DeliveryRequest,
  type JobFacts,
  type Manifest,
  type ManifestFile,
} from "../../core/api";
import { Namer } from "../../core/batch";
import { messagePictures } from "../../core/piece";
import { refuseUnpaintable } from "../../core/placements";
import { problem } from "../../core/problem";
import { withScratch } from "../files/scratch";
import type { FileName } from "../files/store";
import type { Make } from "../jobs/queue";
import { manifestTable } from "../files/manifest";
import { ZipFile } from "../files/zip";
import type { RenderTask } from "../render/task";
import { deliveries } from "../store/tables";
import type { Batches } from "./batches";
import { DeliveryItems, fileOf, namerFor, type Item, type Ready } from "./delivery-items";
import type { Library } from "./library";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
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

/** So many zips are made at once; the others wait. */
const AT_ONCE = 2;

/** Zips of chosen sizes and variations, with a manifest. */
export class Deliveries {
  private readonly items: DeliveryItems;

  constructor(
    private readonly context: ServerContext,
    private readonly pieces: Pieces,
    private readonly library: Library,
    batches: Batches,
    private readonly placements: Placements,
  ) {
    this.items = new DeliveryItems(context, library, batches);
    const make: Make = async (id, { signal }) => this.make(await this.row(id), signal);
    context.jobs.handle("delivery", make, AT_ONCE);
  }

  async start(pieceId: string, request: DeliveryRequest): Promise<DeliveryAnswer> {
    const { piece, crate } = await this.pieces.get(pieceId);
    const brand = await this.library.brand(piece.brand);
    const items = await this.items.of(piece, brand, request, await this.placements.lookup());
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

  /** Nothing stands in its place before it is whole, and nothing is left of one that is given up. */
  private async make(row: DeliveryRow, signal: AbortSignal): Promise<void> {
    const { document: piece, brand, request } = row;
    if (!piece || !brand) throw problem("delivery-empty");
    // As it was when it was asked for; what has no place of its own there is a size of the piece.
    const lookup = await this.placements.asOf(row.places);
    const items = await this.items.of(piece, brand, request, lookup);
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

function answerOf(row: DeliveryRow, job: JobFacts | undefined): DeliveryAnswer {
  const { id, piece, made, files, bytes, name, created } = row;
  return { id, piece, ...(job ?? { state: "failed" }), made, files, bytes, name, created };
}
