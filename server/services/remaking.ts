import { groups } from "d3-array";
import { and, eq, inArray, isNull } from "drizzle-orm";
import type { PieceAnswer } from "../../core/api";
import {
  changedByHand,
  outdatedFiles,
  variationName,
  type Made,
  type MadeFile,
  type Variation,
} from "../../core/batch";
import { copyPiece, placementOf, type Piece } from "../../core/piece";
import type { Placement, PlacementLookup } from "../../core/placements";
import { same } from "../../core/same";
import type { ServerContext } from "../context";
import { batches, failures, outputs, pieces as pieceTable, variationPieces } from "../store/tables";
import { outputName, type BatchRow } from "./batch-runner";
import type { Library } from "./library";
import type { Pieces } from "./pieces";
import type { Placements } from "./placements";
import { VariationPieces } from "./variation-pieces";

/** What becomes of a batch when its piece, its kit or one of its variations is changed after it was made. */
export class Remaking {
  constructor(
    private readonly context: ServerContext,
    private readonly pieces: Pieces,
    private readonly library: Library,
    private readonly placements: Placements,
  ) {}

  /** The files that would come out otherwise now. None where the piece is gone. */
  async outdated(row: BatchRow): Promise<MadeFile[]> {
    const now = await this.asNow(row);
    return now ? outdatedFiles(madeOf(row), now, row.request.placements) : [];
  }

  /** From now on the batch is of what piece, kit and variations have become; what is not so is made again, and nothing else. */
  async again(row: BatchRow): Promise<void> {
    const now = await this.asNow(row);
    if (!now) return;
    const files = outdatedFiles(madeOf(row), now, row.request.placements);
    if (files.length === 0) return;
    const { store, made, jobs } = this.context;
    const gone = new Set(files.map(({ variation, placement }) => `${variation} ${placement}`));
    const there = await store.read.select().from(outputs).where(eq(outputs.batch, row.id));
    for (const file of there)
      if (gone.has(`${file.variation} ${file.placement}`)) await made.remove(outputName(row, file));
    const { document, brand, places, variations } = now;
    await store.write(async (tx) => {
      const kept = { document, brand, places: [...places], variations: [...variations] };
      await tx
        .update(batches)
        .set({ ...kept, again: row.again + 1 })
        .where(eq(batches.id, row.id));
      for (const [placement, own] of groups(files, (file) => file.placement))
        await tx.delete(outputs).where(
          and(
            eq(outputs.batch, row.id),
            eq(outputs.placement, placement),
            inArray(
              outputs.variation,
              own.map(({ variation }) => variation),
            ),
          ),
        );
      await tx.delete(failures).where(eq(failures.batch, row.id));
      await jobs.renew(tx, row.id);
    });
    await jobs.next();
  }

  /**
   * A variation as a piece beside the one that it is of, to be changed by hand: opened once, and brought up to date when the
   * batch has been made again since.
   */
  async open(row: BatchRow, index: number): Promise<PieceAnswer> {
    const variations = new VariationPieces(row, this.context.pool);
    const variation = row.variations[index]!;
    const base = await variations.base(variation);
    const own = variation.edit ? await variations.piece(index) : base;
    const [known] = await this.opened(row, index);
    if (!known) {
      const opened = await this.begin(row, index, own);
      await this.link({ batch: row.id, variation: index, piece: opened.piece.id, base });
      return this.pieces.get(opened.piece.id);
    }
    const { variation_pieces: link, pieces } = known;
    if (!same(link.base, base)) {
      await this.pieces.bringTo(link.piece, own);
      await this.link({ ...link, base });
    }
    return this.pieces.get(pieces.id);
  }

  private async begin(row: BatchRow, index: number, piece: Piece): Promise<PieceAnswer> {
    const { crate } = await this.pieces.get(row.piece);
    const title = `${row.document.title}, ${variationName(index, row.variations.length)}`;
    return this.pieces.create(crate.id, (id) => Promise.resolve(copyPiece(piece, id, title)));
  }

  private async link(link: typeof variationPieces.$inferInsert): Promise<void> {
    await this.context.store.write((tx) =>
      tx
        .insert(variationPieces)
        .values(link)
        .onConflictDoUpdate({
          target: [variationPieces.batch, variationPieces.variation],
          set: link,
        }),
    );
  }

  /** The variations that are opened, or the one, with their pieces as far as these are not in the bin. */
  private opened(row: BatchRow, index?: number) {
    return this.context.store.read
      .select()
      .from(variationPieces)
      .innerJoin(pieceTable, eq(pieceTable.id, variationPieces.piece))
      .where(
        and(
          eq(variationPieces.batch, row.id),
          index === undefined ? undefined : eq(variationPieces.variation, index),
          isNull(pieceTable.deleted),
        ),
      );
  }

  /** What the batch would be made of; undefined where its piece is gone. */
  private async asNow(row: BatchRow): Promise<Made | undefined> {
    const { read } = this.context.store;
    const isThere = and(eq(pieceTable.id, row.piece), isNull(pieceTable.deleted));
    const [piece] = await read.select().from(pieceTable).where(isThere);
    if (!piece) return undefined;
    const { document } = piece;
    return {
      document,
      brand: await this.library.brand(document.brand),
      places: placesFor(document, row.request.placements, await this.placements.lookup()),
      variations: await this.byHand(row),
      templates: row.templates,
    };
  }

  private async byHand(row: BatchRow): Promise<Variation[]> {
    const variations = [...row.variations];
    for (const { variation_pieces: link, pieces } of await this.opened(row)) {
      const variation = variations[link.variation];
      if (variation)
        variations[link.variation] = changedByHand(variation, link.base, pieces.document);
    }
    return variations;
  }
}

/** The placements that a batch is made for, and the lead that its variations are composed at. */
export function placesFor(
  piece: Piece,
  placements: readonly string[],
  lookup: PlacementLookup,
): Placement[] {
  const wanted = new Set([...placements, piece.lead]);
  return [...wanted].flatMap((id) => placementOf(piece, id, lookup) ?? []);
}

const madeOf = ({ document, brand, places, variations, templates }: BatchRow): Made => ({
  document,
  brand,
  templates,
  places: places ?? [],
  variations,
});
