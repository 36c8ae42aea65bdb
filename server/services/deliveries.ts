import { rm } from "node:fs/promises";
import { join } from "node:path";
import { desc, eq } from "drizzle-orm";
import {
  altText,
  type DeliveryAnswer,
  type DeliveryRequest,
  type Manifest,
  type ManifestFile,
} from "../../core/api";
import { applyVariation, Namer, variationName } from "../../core/batch";
import type { Brand } from "../../core/brand";
import { knownPlacement, type Piece } from "../../core/piece";
import type { Placement, PlacementLookup } from "../../core/placements";
import { problem } from "../../core/problem";
import { exists } from "../files/blobs";
import { scratchIn } from "../files/scratch";
import { within } from "../files/within";
import { asProblem } from "../problems";
import { ZipFile } from "../files/zip";
import type { RenderResult } from "../render/task";
import { deliveries } from "../store/tables";
import type { Batches } from "./batches";
import type { Library } from "./library";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import type { Surroundings } from "./services";

/** One file to hand over: made anew, or taken from a batch that made it the same way. */
interface Item {
  piece: Piece;
  brand: Brand;
  placement: Placement;
  variation?: string;
  ready?: { path: string; result: RenderResult };
}

/** Zips of chosen sizes and variations, with a manifest. */
export class Deliveries {
  private ending = false;

  constructor(
    private readonly around: Surroundings,
    private readonly pieces: Pieces,
    private readonly library: Library,
    private readonly batches: Batches,
    private readonly placements: Placements,
  ) {}

  async start(pieceId: string, request: DeliveryRequest): Promise<DeliveryAnswer> {
    const { piece, crate } = await this.pieces.get(pieceId);
    const namer = new Namer(request.pattern);
    const lookup = await this.placements.lookup();
    const items = [
      ...(await this.ofPiece(piece, request, lookup)),
      ...(await this.ofBatches(request, lookup)),
    ];
    if (items.length === 0) throw problem("delivery-empty");
    const id = this.around.newId();
    const title = new Namer("{crate}_{piece}").name(
      { crate: crate.name, piece: piece.title, placement: "", variation: "", width: 0, height: 0 },
      "zip",
    );
    const brand = await this.library.brand(piece.brand);
    await this.around.store.write((tx) =>
      tx.insert(deliveries).values({
        id,
        piece: pieceId,
        state: "making",
        request,
        files: items.length,
        name: title,
        document: piece,
        brand,
        places: [...new Set(items.map(({ placement }) => placement))],
        created: this.around.now().toISOString(),
      }),
    );
    void this.make(id, crate.name, piece, items, namer, request).catch((error: unknown) =>
      this.fail(id, error),
    );
    return this.get(id);
  }

  /** What is being made is given up from now on, since the program ends; the next start says so. */
  end(): void {
    this.ending = true;
  }

  /** A store that is full takes no note of it either; then the next start says that it was interrupted. */
  private async fail(id: string, error: unknown): Promise<void> {
    if (this.ending) return;
    const { message } = asProblem(error);
    await this.update(id, { state: "failed", message }).catch(() => undefined);
  }

  /** Deliveries cannot go on after a restart: their zip is written in one go. */
  async failInterrupted(): Promise<void> {
    const message = "The program ended while this was being made. Make it again.";
    await this.around.store.write((tx) =>
      tx.update(deliveries).set({ state: "failed", message }).where(eq(deliveries.state, "making")),
    );
  }

  async get(id: string): Promise<DeliveryAnswer> {
    const { read } = this.around.store;
    const [row] = await read.select().from(deliveries).where(eq(deliveries.id, id));
    if (!row) throw problem("not-found", { what: "delivery", id });
    return answerOf(row);
  }

  async ofPieceId(piece: string): Promise<DeliveryAnswer[]> {
    const rows = await this.around.store.read
      .select()
      .from(deliveries)
      .where(eq(deliveries.piece, piece))
      .orderBy(desc(deliveries.created));
    return rows.map(answerOf);
  }

  async file(id: string): Promise<{ path: string; name: string }> {
    const { state, name } = await this.get(id);
    const path = this.path(id);
    if (state !== "ready" || !(await exists(path))) {
      throw problem("not-found", { what: "finished delivery", id });
    }
    return { path, name };
  }

  private path(id: string): string {
    return within(this.around.folder, "deliveries", `${id}.zip`);
  }

  private async ofPiece(
    piece: Piece,
    { sizes }: DeliveryRequest,
    lookup: PlacementLookup,
  ): Promise<Item[]> {
    const brand = await this.library.brand(piece.brand);
    return sizes.map((id) => ({ piece, brand, placement: knownPlacement(piece, id, lookup) }));
  }

  private async ofBatches(request: DeliveryRequest, lookup: PlacementLookup): Promise<Item[]> {
    const items: Item[] = [];
    for (const chosen of request.batches) {
      const { row, made } = await this.batches.finished(chosen.id);
      const wanted = chosen.variations ? new Set(chosen.variations) : undefined;
      const sameForm = row.request.format === request.format && row.request.scale === request.scale;
      for (const output of made) {
        if (wanted && !wanted.has(output.variation)) continue;
        const path = this.batches.outputPath(row, output.variation, output.placement);
        items.push({
          piece: applyVariation(row.document, row.variations[output.variation]!),
          brand: row.brand,
          placement: knownPlacement(row.document, output.placement, lookup),
          variation: variationName(output.variation, row.variations.length),
          ...(sameForm ? { ready: { path, result: output } } : {}),
        });
      }
    }
    return items;
  }

  private async make(
    id: string,
    crate: string,
    piece: Piece,
    items: Item[],
    namer: Namer,
    request: DeliveryRequest,
  ): Promise<void> {
    const scratch = await scratchIn(this.around.folder);
    const zip = await ZipFile.create(this.path(id), this.around.now());
    try {
      const files: ManifestFile[] = [];
      const making = items.map((item, index) =>
        this.image(item, join(scratch, String(index)), request),
      );
      // Each is awaited in order below; this only keeps an early failure from being unhandled.
      for (const promise of making) promise.catch(() => undefined);
      for (const [index, item] of items.entries()) {
        const { path, result } = await making[index]!;
        const placement = item.placement.id;
        const { width, height, bytes, sha256, findings } = result;
        const parts = {
          crate,
          piece: item.piece.title,
          placement,
          variation: item.variation ?? "",
          width,
          height,
        };
        const file = namer.name(parts, request.format === "jpeg" ? "jpg" : request.format);
        zip.add(file, path, false);
        const variation = item.variation ? { variation: item.variation } : {};
        const alt = altText(item.piece);
        files.push({ file, placement, ...variation, width, height, bytes, sha256, alt, findings });
        if (index % 10 === 9) await this.update(id, { made: index + 1 });
      }
      const manifest: Manifest = {
        format: "zestcrate/manifest",
        version: 1,
        crate,
        piece: piece.title,
        brand: items[0]!.brand.name,
        scale: request.scale,
        files,
      };
      zip.add("manifest.json", Buffer.from(`${JSON.stringify(manifest, null, 2)}\n`), true);
      const bytes = await zip.finish();
      await this.update(id, { state: "ready", made: items.length, bytes });
    } finally {
      await rm(scratch, { recursive: true, force: true });
      await zip.discard();
    }
  }

  private async image(
    { piece, brand, placement, ready }: Item,
    path: string,
    { format, scale }: DeliveryRequest,
  ): Promise<{ path: string; result: RenderResult }> {
    if (ready && (await exists(ready.path))) return ready;
    return {
      path,
      result: await this.around.pool.run({ piece, brand, placement, format, scale, path }),
    };
  }

  private async update(id: string, change: Partial<typeof deliveries.$inferInsert>): Promise<void> {
    await this.around.store.write((tx) =>
      tx.update(deliveries).set(change).where(eq(deliveries.id, id)),
    );
  }
}

function answerOf(row: typeof deliveries.$inferSelect): DeliveryAnswer {
  const { id, piece, state, made, files, bytes, name, created, message } = row;
  return { id, piece, state, made, files, bytes, name, created, ...(message ? { message } : {}) };
}
