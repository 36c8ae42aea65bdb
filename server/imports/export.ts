import { zipSync } from "fflate";
import { Namer } from "../../core/batch";
import type { ColourFormat } from "../../core/api";
import { brandFiles, type Brand } from "../../core/brand";
import type { FileId } from "../../core/files";
import { writeCss, writePalette, writeTokens } from "../../core/kit";
import { carryingSizes, messagePictures, type Crate } from "../../core/piece";
import { shippedFonts } from "../../core/shelf";
import type { Services } from "../app";
import type { Library } from "../services/library";
import type { Surroundings } from "../services/services";

/** A crate with its brand, pieces and every file they use, in the form that import reads. */
export async function exportCrate(
  { pieces, library, placements, around }: Services,
  id: string,
): Promise<{ name: string; bytes: Uint8Array }> {
  const { archived: _archived, ...crate } = await pieces.crate(id);
  const brandIds = [...new Set([crate.brand, ...crate.pieces.map((piece) => piece.brand)])];
  const brands: Brand[] = await Promise.all(brandIds.map((brand) => library.brand(brand)));
  const document: Crate = { ...crate, pieces: crate.pieces.map((piece) => piece.id) };
  const entries: Record<string, Uint8Array> = { "crate.json": json(document) };
  for (const brand of brands) entries[`brands/${brand.id}.json`] = json(brand);
  const lookup = await placements.lookup();
  for (const piece of crate.pieces) {
    entries[`pieces/${piece.id}.json`] = json(carryingSizes(piece, lookup));
  }
  const used = [
    ...brands.flatMap(brandFiles),
    ...crate.pieces.flatMap((p) => messagePictures(p.message)),
  ];
  Object.assign(entries, await filesOf(library, around, used));
  return { name: fileName(crate.name, "zip"), bytes: zipSync(entries, { level: 6 }) };
}

/** A kit with its logos and its own fonts; those that ship with the program need not come along. */
export async function exportKit(
  { library, around }: Services,
  id: string,
): Promise<{ name: string; bytes: Uint8Array }> {
  const brand = await library.brand(id);
  const entries = {
    "brand.json": json(brand),
    ...(await filesOf(library, around, brandFiles(brand))),
  };
  return { name: fileName(brand.name, "zestkit"), bytes: zipSync(entries, { level: 6 }) };
}

/** The kit in a format that other programs read. */
export function exportColours(brand: Brand, as: ColourFormat): { name: string; text: string } {
  const stem = brand.name;
  switch (as) {
    case "tokens":
      return {
        name: fileName(stem, "tokens.json"),
        text: `${JSON.stringify(writeTokens(brand), null, 2)}\n`,
      };
    case "css":
      return { name: fileName(stem, "css"), text: writeCss(brand) };
    case "palette":
      return { name: fileName(stem, "txt"), text: writePalette(brand) };
  }
}

const json = (value: unknown): Uint8Array =>
  new TextEncoder().encode(`${JSON.stringify(value, null, 2)}\n`);

const fileName = (crate: string, ending: string): string => {
  const parts = { crate, piece: "", placement: "", variation: "", width: 0, height: 0 };
  return new Namer("{crate}").name(parts, ending);
};

async function filesOf(
  library: Library,
  around: Surroundings,
  used: FileId[],
): Promise<Record<string, Uint8Array>> {
  const pictures = new Map((await library.pictures()).map((picture) => [picture.id, picture.mime]));
  const entries: Record<string, Uint8Array> = {};
  for (const file of new Set(used)) {
    if (shippedFonts.has(file)) continue;
    const ending = endings[pictures.get(file) ?? ""] ?? "ttf";
    entries[`files/${file}.${ending}`] = await around.blobs.read(file);
  }
  return entries;
}

const endings: Record<string, string> = {
  "image/jpeg": "jpg",
  "image/png": "png",
  "image/webp": "webp",
  "image/avif": "avif",
  "image/gif": "gif",
  "image/tiff": "tif",
  "image/svg+xml": "svg",
};
