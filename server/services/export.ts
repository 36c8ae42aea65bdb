import type { Readable } from "node:stream";
import { Namer } from "../../core/batch";
import type { ColourFormat } from "../../core/api";
import { brandFiles, type Brand } from "../../core/brand";
import type { FileId, PictureNotes } from "../../core/files";
import { writeCss, writePalette, writeTokens } from "../../core/kit";
import { carryingSizes, piecePictureIds, type Crate } from "../../core/piece";
import { problem } from "../../core/problem";
import { shippedFonts } from "../../core/shelf";
import type { Services } from "./services";
import { exists } from "../files/blobs";
import { zipStream, type ZipEntry } from "../files/zip";
import type { Library } from "./library";
import type { ServerContext } from "../context";

/** A zip that is made while it is sent. */
interface Export {
  name: string;
  stream: Readable;
}

/** A crate with its brand, pieces and every file they use, in the form that import reads. */
export async function exportCrate(
  { pieces, library, placements, context }: Services,
  id: string,
): Promise<Export> {
  const { archived: _archived, ...crate } = await pieces.crate(id);
  const brandIds = [...new Set([crate.brand, ...crate.pieces.map((piece) => piece.brand)])];
  const brands: Brand[] = await Promise.all(brandIds.map((brand) => library.brand(brand)));
  const document: Crate = { ...crate, pieces: crate.pieces.map((piece) => piece.id) };
  const lookup = await placements.lookup();
  const used = [...brands.flatMap(brandFiles), ...crate.pieces.flatMap(piecePictureIds)];
  const entries = [
    json("crate.json", document),
    ...brands.map((brand) => json(`brands/${brand.id}.json`, brand)),
    ...crate.pieces.map((piece) => json(`pieces/${piece.id}.json`, carryingSizes(piece, lookup))),
    json("pictures.json", await notesOf(library, used)),
    ...(await filesOf(library, context, crate.name, used)),
  ];
  return { name: fileName(crate.name, "zip"), stream: zipStream(entries, context.now()) };
}

/** A kit with its logos and its own fonts; those that ship with the program need not come along. */
export async function exportKit({ library, context }: Services, id: string): Promise<Export> {
  const brand = await library.brand(id);
  const files = await filesOf(library, context, brand.name, brandFiles(brand));
  const entries = [json("brand.json", brand), ...files];
  return { name: fileName(brand.name, "zestkit"), stream: zipStream(entries, context.now()) };
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

const json = (name: string, value: unknown): ZipEntry => ({
  name,
  content: new TextEncoder().encode(`${JSON.stringify(value, null, 2)}\n`),
  pack: true,
});

const fileName = (crate: string, ending: string): string => {
  const parts = { crate, piece: "", placement: "", variation: "", width: 0, height: 0 };
  return new Namer("{crate}").name(parts, ending);
};

async function notesOf(library: Library, used: FileId[]): Promise<PictureNotes> {
  const pictures = Object.fromEntries(await library.notesOf([...new Set(used)]));
  return { format: "zestcrate/pictures", version: 1, pictures };
}

/** Stored files as they lie. Throws `file-missing` before anything is sent. */
async function filesOf(
  library: Library,
  { blobs }: ServerContext,
  document: string,
  used: FileId[],
): Promise<ZipEntry[]> {
  const pictures = new Map((await library.pictures()).map((picture) => [picture.id, picture.mime]));
  const entries: ZipEntry[] = [];
  for (const file of new Set(used)) {
    if (shippedFonts.has(file)) continue;
    const content = blobs.path(file);
    if (!(await exists(content))) throw problem("file-missing", { document, file });
    const ending = endings[pictures.get(file) ?? ""] ?? "ttf";
    entries.push({ name: `files/${file}.${ending}`, content, pack: PACKED.has(ending) });
  }
  return entries;
}

/** Pictures are packed already. */
const PACKED: ReadonlySet<string> = new Set(["ttf", "svg", "tif"]);

const endings: Record<string, string> = {
  "image/jpeg": "jpg",
  "image/png": "png",
  "image/webp": "webp",
  "image/avif": "avif",
  "image/gif": "gif",
  "image/tiff": "tif",
  "image/svg+xml": "svg",
};
