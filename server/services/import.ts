import { eq } from "drizzle-orm";
import type { ImportAnswer } from "../../core/api";
import { brandFonts, type Brand } from "../../core/brand";
import { freeId } from "../../core/id";
import { freeTitle, type Piece } from "../../core/piece";
import { problem } from "../../core/problem";
import { same } from "../../core/same";
import type { Services } from "./services";
import { withScratch } from "../files/scratch";
import { unzipTo } from "../files/unzip";
import { addFileRow, type Library } from "./library";
import { mustHaveNamed } from "./references";
import type { Transaction } from "../store/database";
import type { files } from "../store/tables";
import { brands, crates, pieces } from "../store/tables";
import { BUNDLE_LIMITS, readBundle, type Bundle } from "../imports/bundle";
import type { Reader } from "../imports/reader";

const PICTURE = /\.(jpe?g|png|webp|avif|gif|tiff?|svg)$/i;

/** Stores what a zip holds. */
export async function importZip(
  services: Services,
  zip: string,
  name: string,
): Promise<ImportAnswer> {
  const { context, placements } = services;
  return withScratch(context.folder, async (scratch) => {
    const entries = await unzipTo(zip, scratch, name, BUNDLE_LIMITS);
    const bundle = await readBundle(entries, await placements.lookup(), context.reader);
    return importBundle(services, bundle);
  });
}

/**
 * Stores a bundle. Nothing that is there is overwritten: a brand that is the same is used,
 * one that differs is added beside it, and crates and pieces come in as new ones.
 */
export async function importBundle(
  { context, library, placements }: Pick<Services, "context" | "library" | "placements">,
  bundle: Bundle,
): Promise<ImportAnswer> {
  const rows = await storeFiles(library, context.reader, bundle);
  return context.store.write(async (tx) => {
    const created = context.now().toISOString();
    for (const row of rows) await addFileRow(tx, row);
    const brandIds = new Map<string, string>();
    for (const brand of bundle.brands) {
      brandIds.set(brand.id, await addBrand(tx, brand, created));
    }
    const result: ImportAnswer = {
      brands: [...brandIds.values()],
      crates: [],
      pieces: [],
      files: rows.length,
    };
    for (const crate of bundle.crates) {
      const members = crate.pieces.map((id) => memberOf(bundle, crate.name, id));
      const brand = await knownBrand(tx, brandIds, crate.brand, crate.name);
      const id = await idFor(tx, crates, crate.id, context.newId);
      await tx.insert(crates).values({ id, name: crate.name, brand, created });
      result.crates.push(id);
      for (const [position, piece] of members.entries()) {
        const pieceId = await idFor(tx, pieces, piece.id, context.newId);
        const kit = await knownBrand(tx, brandIds, piece.brand, piece.title);
        const document = { ...piece, id: pieceId, brand: kit };
        await mustHaveNamed(tx, placements, document);
        await tx.insert(pieces).values({ id: pieceId, crate: id, position, document, created });
        result.pieces.push(pieceId);
      }
    }
    return result;
  });
}

/** Bytes that no row tells of are no harm when the import fails after this. */
async function storeFiles(
  library: Library,
  reader: Reader,
  { brands: kits, files: came, notes }: Bundle,
): Promise<(typeof files.$inferInsert)[]> {
  const fonts = new Set(kits.flatMap(brandFonts));
  // What comes with one brand is that brand's.
  const owner = kits.length === 1 ? kits[0]!.id : undefined;
  const rows: (typeof files.$inferInsert)[] = [];
  for (const [id, { name, path }] of came) {
    if (PICTURE.test(name)) {
      const picture = { ...(await reader.picture(path, name)), ...notes.get(id) };
      rows.push(await library.fileRow(path, name, picture, owner));
    } else if (fonts.has(id)) rows.push(await library.fileRow(path, name));
  }
  return rows;
}

function memberOf(bundle: Bundle, crate: string, id: string): Piece {
  const piece = bundle.pieces.find((candidate) => candidate.id === id);
  if (piece) return piece;
  const why = `it lists the piece “${id}”, which is not in the file`;
  throw problem("document-invalid", { document: crate, field: "pieces", why });
}

async function addBrand(tx: Transaction, brand: Brand, created: string): Promise<string> {
  const all = await tx.select().from(brands);
  const sameId = all.find((row) => row.id === brand.id);
  if (sameId && same(sameId.document, brand)) return brand.id;
  const id = freeId(brand.id, new Set(all.map((row) => row.id)));
  const name = freeTitle(
    brand.name,
    all.map((row) => row.document.name),
  );
  await tx.insert(brands).values({ id, document: { ...brand, id, name }, created });
  return id;
}

/** The brand of an imported document: one that came along, or one that is there. Throws document-invalid. */
async function knownBrand(
  tx: Transaction,
  came: ReadonlyMap<string, string>,
  id: string,
  document: string,
): Promise<string> {
  const [row] = await tx.select({ id: brands.id }).from(brands).where(eq(brands.id, id));
  const known = came.get(id) ?? row?.id;
  if (known !== undefined) return known;
  const why = `the brand kit “${id}” is neither in the file nor among yours`;
  throw problem("document-invalid", { document, field: "brand", why });
}

/** The id that a document came with, or a new one where that is taken. */
async function idFor(
  tx: Transaction,
  table: typeof crates | typeof pieces,
  wanted: string,
  newId: () => string,
): Promise<string> {
  const [row] = await tx.select({ id: table.id }).from(table).where(eq(table.id, wanted));
  return row ? newId() : wanted;
}
