import { readFile, stat } from "node:fs/promises";
import { basename } from "node:path";
import { Brand, brandFiles, brandFonts } from "../../core/brand";
import { PictureNotes, type FileId, type PictureNote } from "../../core/files";
import {
  Crate,
  fromOlder,
  knownPlacement,
  piecePictureIds,
  Piece,
  withFrame,
} from "../../core/piece";
import type { PlacementLookup } from "../../core/placements";
import { problem } from "../../core/problem";
import { readDocument } from "../../core/reading";
import { shippedFonts } from "../../core/shelf";
import { fileIdAt } from "../files/hash";
import type { Unpacked } from "../files/unzip";
import type { Reader } from "./reader";

/** What is imported: documents, and the files that they use, by content, where they lie. */
export interface Bundle {
  brands: Brand[];
  crates: Crate[];
  pieces: Piece[];
  files: Map<FileId, Unpacked>;
  /** What was said of pictures where they come from. */
  notes: Map<FileId, PictureNote>;
}

/** Unpacked, a bundle may hold this much. */
export const BUNDLE_LIMITS = { files: 5000, bytes: 512 * 1024 * 1024 };
/** A document of ours has a few thousand letters. */
const MOST_DOCUMENT = 8 * 1024 * 1024;

/**
 * Reads the files of a folder or zip. JSON with a `format` of ours is a document; the rest are files,
 * of which those that a document uses are taken, and pictures beside them.
 * Throws document-newer, document-invalid or file-missing; nothing has been stored by then.
 */
export async function readBundle(
  entries: readonly Unpacked[],
  lookup: PlacementLookup,
  reader: Pick<Reader, "font">,
): Promise<Bundle> {
  const bundle: Bundle = { brands: [], crates: [], pieces: [], files: new Map(), notes: new Map() };
  for (const { name, path } of entries) {
    if (name.endsWith(".json")) addDocument(bundle, name, await documentAt(path, name), lookup);
    else bundle.files.set(await fileIdAt(path), { name: basename(name), path });
  }
  await checkFiles(bundle, reader);
  return bundle;
}

async function documentAt(path: string, name: string): Promise<Uint8Array> {
  const { size } = await stat(path);
  const why = `it has ${Math.round(size / 1024 / 1024)} MB, which no document needs`;
  if (size > MOST_DOCUMENT)
    throw problem("document-invalid", { document: name, field: "its text", why });
  return readFile(path);
}

function addDocument(
  bundle: Bundle,
  path: string,
  bytes: Uint8Array,
  lookup: PlacementLookup,
): void {
  const data = parse(path, bytes);
  switch (data.format) {
    case "zestcrate/brand":
      bundle.brands.push(readDocument(Brand, data, path));
      break;
    case "zestcrate/crate":
      bundle.crates.push(readDocument(Crate, data, path));
      break;
    case "zestcrate/piece":
      bundle.pieces.push(readPiece(data, path, lookup));
      break;
    case "zestcrate/pictures":
      for (const [id, note] of Object.entries(readDocument(PictureNotes, data, path).pictures))
        bundle.notes.set(id, note);
      break;
  }
}

function parse(path: string, bytes: Uint8Array): { format?: unknown } {
  try {
    const data: unknown = JSON.parse(new TextDecoder().decode(bytes));
    return data !== null && typeof data === "object" ? data : {};
  } catch (error) {
    const why = error instanceof Error ? error.message : "it is not JSON";
    throw problem("document-invalid", { document: path, field: "its text", why });
  }
}

/** A piece at the door: its fields, and that its placements are known. */
export function readPiece(data: unknown, name: string, lookup: PlacementLookup): Piece {
  const piece = readDocument(Piece, fromOlder(data), name);
  const used = [piece.lead, ...piece.sizes.map((size) => size.placement)];
  for (const id of used) knownPlacement(piece, id, lookup);
  return withFrame(piece, lookup);
}

async function checkFiles(bundle: Bundle, reader: Pick<Reader, "font">): Promise<void> {
  for (const brand of bundle.brands) {
    const fonts = new Set(brandFonts(brand));
    for (const file of brandFiles(brand)) {
      const found = bundle.files.get(file);
      if (!found && shippedFonts.has(file)) continue;
      if (!found) throw problem("file-missing", { document: brand.name, file });
      if (fonts.has(file)) await reader.font(found.path, found.name);
    }
  }
  for (const piece of bundle.pieces) {
    const missing = piecePictureIds(piece).find((file) => !bundle.files.has(file));
    if (missing !== undefined)
      throw problem("file-missing", { document: piece.title, file: missing });
  }
}
