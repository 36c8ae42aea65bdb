import { and, eq, inArray, isNull } from "drizzle-orm";
import type { FileId } from "../../core/files";
import { knownPlacement, piecePictureIds, type Piece } from "../../core/piece";
import { refuseUnpaintable } from "../../core/placements";
import { problem } from "../../core/problem";
import { shippedFonts } from "../../core/shelf";
import type { Transaction } from "../store/database";
import { brands, files } from "../store/tables";
import type { Reader } from "./edits";
import type { Placements } from "./placements";

/*
 * The one gate for what documents name: whatever writes one asks here first, in the same transaction, so that nothing can
 * be deleted between the question and the writing.
 */

/**
 * What a piece names must be there: its brand, the placements of its sizes, its pictures. Of a piece that was there
 * `before`, only what it did not name then is asked for, so that one that lacks something can still be worked on.
 * Throws `not-found`, `placement-unknown`, or `size-too-large` for one of its own that cannot be painted.
 */
export async function mustHaveNamed(
  tx: Transaction,
  placements: Placements,
  piece: Piece,
  before?: Piece,
): Promise<void> {
  if (piece.brand !== before?.brand) await mustHaveBrand(tx, piece.brand);
  const old = new Set(before && placesOf(before));
  const places = placesOf(piece).filter((id) => !old.has(id));
  const lookup = places.length > 0 ? await placements.lookup(tx) : undefined;
  if (lookup) for (const id of places) knownPlacement(piece, id, lookup);
  const known = new Set(before?.sizes.map(({ placement }) => placement));
  for (const { placement, own } of piece.sizes)
    if (own && !known.has(placement)) refuseUnpaintable(own);
  const shown = new Set(before && piecePictureIds(before));
  const pictures = piecePictureIds(piece).filter((id) => !shown.has(id));
  const missing = await firstMissing(tx, pictures, true);
  if (missing !== undefined) throw problem("not-found", { what: "picture", id: missing });
}

/** Sizes of its own bring their placement with them. */
const placesOf = ({ lead, sizes }: Piece): string[] => {
  const own = new Set(sizes.flatMap((size) => (size.own ? [size.placement] : [])));
  const all = [lead, ...sizes.map(({ placement }) => placement)];
  return [...new Set(all)].filter((id) => !own.has(id));
};

export async function mustHaveBrand(reader: Reader, id: string): Promise<void> {
  const [row] = await reader.select({ id: brands.id }).from(brands).where(eq(brands.id, id));
  if (!row) throw problem("not-found", { what: "brand", id });
}

/** A kit may only name files that are stored or shipped. Throws `file-missing`. */
export async function mustHaveFiles(tx: Transaction, wanted: readonly FileId[]): Promise<void> {
  const own = wanted.filter((id) => !shippedFonts.has(id));
  const file = await firstMissing(tx, own, false);
  if (file !== undefined) throw problem("file-missing", { document: "The kit", file });
}

async function firstMissing(
  tx: Transaction,
  wanted: readonly FileId[],
  asPicture: boolean,
): Promise<FileId | undefined> {
  if (wanted.length === 0) return undefined;
  const found = await tx
    .select({ id: files.id, picture: files.picture })
    .from(files)
    .where(and(inArray(files.id, [...new Set(wanted)]), isNull(files.deleted)));
  const known = new Set(found.filter(({ picture }) => picture || !asPicture).map(({ id }) => id));
  return wanted.find((id) => !known.has(id));
}
