import type { BatchPlan, BatchRequest } from "../../core/api";
import {
  BATCH_LIMITS,
  columnNames,
  combine,
  countFiles,
  countVariations,
  type Combining,
} from "../../core/batch";
import { knownPlacement, type Piece } from "../../core/piece";
import { refuseUnpaintable, type Placement, type PlacementLookup } from "../../core/placements";
import { problem } from "../../core/problem";
import { slidesFor } from "../../core/strip";
import type { ServerContext } from "../context";
import type { batches } from "../store/tables";
import { bytesFor } from "./batch-bytes";
import { arranging, combiningOf, type Known } from "./batch-request";
import type { Library } from "./library";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import { placesFor } from "./remaking";
import type { Templates } from "./templates";

interface Asked {
  piece: Piece;
  known: Known;
  places: Placement[];
  combining: Combining;
}

/** From what is asked for to what a batch is: how much it would be, and its variations as they are kept. */
export class BatchBeginnings {
  constructor(
    private readonly context: ServerContext,
    private readonly pieces: Pieces,
    private readonly library: Library,
    private readonly placements: Placements,
    private readonly templates: Templates,
  ) {}

  /** What a request would make, before anything is made. `pace` is in seconds a million pixels. */
  async plan(pieceId: string, request: BatchRequest, pace: number): Promise<BatchPlan> {
    const { piece, places, combining } = await this.asked(pieceId, request);
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
      seconds: Math.ceil(megapixels * request.scale ** 2 * pace),
      bytes: await bytesFor(this.context.store, megapixels * request.scale ** 2, request.format),
      slots: columns.map(columnNames(piece)),
      notes,
    };
  }

  /** What is kept of a batch that begins. Throws `batch-empty`, `batch-too-many`, and what `combiningOf` throws. */
  async row(pieceId: string, request: BatchRequest): Promise<typeof batches.$inferInsert> {
    const { piece, known, places, combining } = await this.asked(pieceId, request);
    const count = countVariations(combining);
    if (count * request.placements.length === 0) throw problem("batch-empty");
    // Where each has sizes of its own it is known only when they are combined.
    const areOwn = combining.lists.columns.includes("sizes");
    refuseMoreThan(BATCH_LIMITS.files, areOwn ? count : count * request.placements.length);
    const variations = [...combine(combining)];
    const files = countFiles(piece, variations, places);
    if (files === 0) throw problem("batch-empty");
    refuseMoreThan(BATCH_LIMITS.files, files);
    const used = new Set(variations.map(({ template }) => template));
    const { table: _table, ...kept } = request;
    return {
      id: this.context.newId(),
      piece: pieceId,
      request: kept,
      variations,
      document: piece,
      brand: await this.library.brand(piece.brand),
      templates: (await arranging(piece, known)).filter(({ id }) => used.has(id)),
      places: placesFor(piece, request.placements, known.lookup),
      created: this.context.now().toISOString(),
    };
  }

  private async asked(pieceId: string, request: BatchRequest): Promise<Asked> {
    const { library, templates } = this;
    const { piece } = await this.pieces.get(pieceId);
    const known: Known = { library, templates, lookup: await this.placements.lookup() };
    const places = placesOf(piece, request, known.lookup);
    return { piece, known, places, combining: await combiningOf(piece, request, known) };
  }

  /** Who asks what would be made has it made soon. Nobody waits for that, and nothing is lost where it fails. */
  private async prepare(piece: Piece, [placement]: readonly Placement[]): Promise<void> {
    if (!placement) return;
    const brand = await this.library.brand(piece.brand);
    this.context.pool.prepare({ piece, brand, placement }).catch(() => undefined);
  }
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
