import { completed } from "../completion";
import { paletteOf, type Brand } from "../brand";
import type { PictureLookup } from "../files";
import { type Piece } from "../piece";
import { type IconLookup } from "../shape";
import { type Typesetter } from "../type";
import type { ResolvedPiece } from "./resolved";
import { OneNode } from "./one-node";

export interface Sources {
  pictures: PictureLookup;
  typesetter: Typesetter;
  icons: IconLookup;
}

/**
 * Completes the piece by what its message holds, and looks up every token, filling and file of a piece as it stands on one placement.
 * A node with nothing to show becomes `absent`; it is never an error.
 */
export function resolve(
  given: Piece,
  brand: Brand,
  placement: string,
  sources: Sources,
): ResolvedPiece {
  const piece = completed(given);
  const palette = paletteOf(brand, piece.spread);
  const changes = piece.sizes.find((size) => size.placement === placement)?.changes ?? {};
  const result: ResolvedPiece = { piece, brand, palette, nodes: [], absent: [], raw: [] };
  for (const lead of piece.arrangement) {
    const { place, ...change } = changes[lead.id] ?? {};
    const node = { ...lead, ...change, style: { ...lead.style, ...change.style } };
    const one = new OneNode(node, piece, brand, palette, sources, (what, value) =>
      result.raw.push({ node: node.id, what, value }),
    );
    const resolved = one.resolve();
    if (typeof resolved === "string") {
      result.absent.push({ id: node.id, role: node.role, why: resolved });
    } else {
      if (place) resolved.place = place;
      if (resolved.type === "text" && change.style?.size !== undefined) resolved.sizedHere = true;
      result.nodes.push(resolved);
    }
  }
  return result;
}
