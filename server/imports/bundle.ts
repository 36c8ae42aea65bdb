import { basename } from "node:path";
import { unzipSync } from "fflate";
import { Brand, brandFiles, brandFonts } from "../../core/brand";
import type { FileId } from "../../core/files";
import {
  Crate,
  fromOlder,
  knownPlacement,
  messagePictures,
  Piece,
  withFrame,
} from "../../core/piece";
import type { PlacementLookup } from "../../core/placements";
import { problem } from "../../core/problem";
import { readDocument } from "../../core/reading";
import { shippedFonts } from "../../core/shelf";
import { fileId } from "../files/hash";
import { inspectFont } from "./fonts";

/** What is imported and exported: documents, and the files that they use, by content. */
export interface Bundle {
  brands: Brand[];
  crates: Crate[];
  pieces: Piece[];
  files: Map<FileId, { name: string; bytes: Uint8Array }>;
}

/** Unpacked, a bundle may hold this much. */
const MOST_BYTES = 512 * 1024 * 1024;

/** Throws `archive-unreadable` for what is not a zip, or unpacks to too much. */
export function unzip(bytes: Uint8Array, name: string): Map<string, Uint8Array> {
  let unpacked = 0;
  try {
    const entries = unzipSync(bytes, {
      filter: (entry) => {
        unpacked += entry.originalSize;
        if (unpacked > MOST_BYTES) throw new Error("it unpacks to more than 512 MB");
        return !entry.name.endsWith("/");
      },
    });
    return new Map(Object.entries(entries));
  } catch (error) {
    const why = error instanceof Error ? error.message : "it is damaged";
    throw problem("archive-unreadable", { name, why });
  }
}

/**
 * Reads the files of a folder or zip. JSON with a `format` of ours is a document; the rest are files,
 * of which those that a document uses are taken, and pictures beside them.
 * Throws document-newer, document-invalid or file-missing; nothing has been stored by then.
 */
export async function readBundle(
  entries: ReadonlyMap<string, Uint8Array>,
  lookup: PlacementLookup,
): Promise<Bundle> {
  const bundle: Bundle = { brands: [], crates: [], pieces: [], files: new Map() };
  for (const [path, bytes] of entries) {
    if (path.endsWith(".json")) addDocument(bundle, path, bytes, lookup);
    else bundle.files.set(fileId(bytes), { name: basename(path), bytes });
  }
  await checkFiles(bundle);
  return bundle;
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

async function checkFiles(bundle: Bundle): Promise<void> {
  for (const brand of bundle.brands) {
    const fonts = new Set(brandFonts(brand));
    for (const file of brandFiles(brand)) {
      const found = bundle.files.get(file);
      if (!found && shippedFonts.has(file)) continue;
      if (!found) throw problem("file-missing", { document: brand.name, file });
      if (fonts.has(file)) await inspectFont(found.bytes, found.name);
    }
  }
  for (const piece of bundle.pieces) {
    const missing = messagePictures(piece.message).find((file) => !bundle.files.has(file));
    if (missing !== undefined)
      throw problem("file-missing", { document: piece.title, file: missing });
  }
}
