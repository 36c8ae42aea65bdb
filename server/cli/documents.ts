import { readFile } from "node:fs/promises";
import { basename, dirname, resolve } from "node:path";
import { Brand } from "../../core/brand";
import { placementOf, type Piece } from "../../core/piece";
import { Catalogue, catalogue, lookupIn, withTeam, type Placement } from "../../core/placements";
import { problem } from "../../core/problem";
import { readDocument } from "../../core/reading";
import { readPiece } from "../imports/bundle";
import { findBrand } from "./find";
import { UsageError } from "./options";
import type { FaceFinder } from "../faces/pool";

/** The folders of what comes with the program, and who looks for faces; nobody when not given. */
export interface Shipped {
  demo: string;
  fonts: string;
  faces?: FaceFinder;
}

interface About {
  piece: string;
  brand?: string | undefined;
  catalogue?: string | undefined;
}

/** A piece with its brand, the placements that are known, and the folders in which its files lie. */
export interface Opened {
  piece: Piece;
  brand: Brand;
  known: Catalogue;
  folders: string[];
}

export async function openPiece(options: About, shipped: Shipped): Promise<Opened> {
  const known = await catalogueAt(options.catalogue);
  const piece = readPiece(await readJson(options.piece), basename(options.piece), lookupIn(known));
  const near = [dirname(resolve(options.piece))];
  const brand = options.brand
    ? await brandAt(options.brand)
    : await findBrand(piece.brand, near, shipped.demo);
  if (options.brand) near.push(dirname(resolve(options.brand)));
  return { piece, brand, known, folders: [...near, ...near.map(dirname), shipped.demo] };
}

export const brandAt = async (path: string): Promise<Brand> =>
  readDocument(Brand, await readJson(path), basename(path));

/** The shipped placements, with those of the team's file. */
async function catalogueAt(path: string | undefined): Promise<Catalogue> {
  if (path === undefined) return catalogue;
  return withTeam(readDocument(Catalogue, await readJson(path), basename(path)).placements);
}

export function placementsOf(
  wanted: "all" | string[] | undefined,
  piece: Piece,
  known: Catalogue,
): Placement[] {
  const { placements } = known;
  const lookup = lookupIn(known);
  if (wanted === "all") return placements.filter(({ retired }) => !retired);
  return (wanted ?? piece.sizes.map((size) => size.placement)).map((id) => {
    const placement = placementOf(piece, id, lookup);
    if (placement) return placement;
    const ids = placements.map((one) => one.id).join(", ");
    throw new UsageError(`--placements: there is no placement “${id}”. Known are ${ids}`);
  });
}

export async function readText(path: string): Promise<string> {
  return readFile(path, "utf8").catch(() => {
    throw problem("not-found", { what: "file", id: path });
  });
}

export async function readJson(path: string): Promise<unknown> {
  const document = basename(path);
  const text = await readText(path);
  try {
    return JSON.parse(text);
  } catch (error) {
    const why = (error as Error).message;
    throw problem("document-invalid", { document, field: "its text", why });
  }
}
