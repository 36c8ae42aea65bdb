import { zipSync } from "fflate";
import { Namer } from "../../core/batch";
import { brandFiles, type Brand } from "../../core/brand";
import type { FileId } from "../../core/files";
import { messagePictures, type Crate } from "../../core/piece";
import type { Services } from "../app";

/** A crate with its brand, pieces and every file they use, in the form that import reads. */
export async function exportCrate(
  { pieces, library, around }: Services,
  id: string,
): Promise<{ name: string; bytes: Uint8Array }> {
  const crate = await pieces.crate(id);
  const brandIds = [...new Set([crate.brand, ...crate.pieces.map((piece) => piece.brand)])];
  const brands: Brand[] = await Promise.all(brandIds.map((brand) => library.brand(brand)));
  const json = (value: unknown) => new TextEncoder().encode(`${JSON.stringify(value, null, 2)}\n`);
  const document: Crate = { ...crate, pieces: crate.pieces.map((piece) => piece.id) };
  const entries: Record<string, Uint8Array> = { "crate.json": json(document) };
  for (const brand of brands) entries[`brands/${brand.id}.json`] = json(brand);
  for (const piece of crate.pieces) entries[`pieces/${piece.id}.json`] = json(piece);
  const used = [
    ...brands.flatMap(brandFiles),
    ...crate.pieces.flatMap((p) => messagePictures(p.message)),
  ];
  const pictures = new Map((await library.pictures()).map((picture) => [picture.id, picture.mime]));
  for (const file of new Set<FileId>(used)) {
    const ending = endings[pictures.get(file) ?? ""] ?? "ttf";
    entries[`files/${file}.${ending}`] = await around.files.read(file);
  }
  const parts = { crate: crate.name, piece: "", placement: "", variation: "", width: 0, height: 0 };
  return { name: new Namer("{crate}").name(parts, "zip"), bytes: zipSync(entries, { level: 6 }) };
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
