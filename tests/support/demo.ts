import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { Brand } from "../../core/brand";
import type { FileId, PictureFile } from "../../core/files";
import { messagePictures, Piece } from "../../core/piece";
import type { Sources } from "../../core/resolve";
import { Typesetter } from "../../core/type";
import { FolderFiles } from "../../server/files/folders";
import { fileId } from "../../server/files/hash";
import { iconLookup } from "../../server/render/icons";
import { inspectPicture } from "../../server/render/inspect";

export const root = join(import.meta.dirname, "../..");
export const demoFolder = join(root, "demo");
export const fontFolder = join(root, "fonts");

const read = (path: string): unknown => JSON.parse(readFileSync(join(demoFolder, path), "utf8"));

export const demoBrand = (id: string): Brand => Brand.parse(read(`${id}/brand.json`));
export const demoPiece = (brand: string, id: string): Piece =>
  Piece.parse(read(`${brand}/pieces/${id}.json`));

/** Every demo piece with its brand. */
export const demoPieces = (): { piece: Piece; brand: Brand }[] =>
  ["quillmere", "saltlight"].flatMap((brand) =>
    readdirSync(join(demoFolder, brand, "pieces")).map((name) => ({
      brand: demoBrand(brand),
      piece: demoPiece(brand, name.replace(".json", "")),
    })),
  );

let sources: Promise<Sources> | undefined;

/** Fonts and pictures of both demo brands, loaded once. */
export function demoSources(): Promise<Sources> {
  return (sources ??= load());
}

async function load(): Promise<Sources> {
  const files = new FolderFiles([demoFolder]);
  const typesetter = new Typesetter();
  const pictures = new Map<FileId, PictureFile>();
  for (const brand of [demoBrand("quillmere"), demoBrand("saltlight")]) {
    const { headline, text } = brand.typefaces;
    for (const { file } of [...headline.faces, ...text.faces]) {
      typesetter.addFont(file, await files.read(file));
    }
    for (const { file } of brand.logos) {
      pictures.set(file, await inspectPicture(await files.read(file), file));
    }
  }
  for (const { piece } of demoPieces()) {
    for (const id of messagePictures(piece.message)) {
      pictures.set(id, await inspectPicture(await files.read(id), id));
    }
  }
  return { typesetter, pictures: (id) => pictures.get(id), icons: iconLookup };
}

/** The ids of the demo's photographs. */
export function demoPictures(): FileId[] {
  const folder = join(demoFolder, "quillmere/pictures");
  const names = readdirSync(folder).filter((name) => name.endsWith(".jpg"));
  return names.map((name) => fileId(readFileSync(join(folder, name))));
}
