import {
  frameOf,
  known,
  shippedPlacement,
  type Placement,
  type PlacementLookup,
} from "../placements";
import type { Box } from "../geometry";
import type { Piece } from "./piece";
import type { Size } from "./size";

/** Where a piece goes by that name: what its size brings along, else what the catalogue says. */
export function placementOf(
  piece: { sizes: readonly Pick<Size, "placement" | "own">[] },
  id: string,
  lookup: PlacementLookup,
): Placement | undefined {
  return piece.sizes.find(({ placement }) => placement === id)?.own ?? lookup(id);
}

/** As `placementOf`. Throws `placement-unknown`. */
export const knownPlacement = (piece: Piece, id: string, lookup: PlacementLookup): Placement =>
  known(id, (wanted) => placementOf(piece, wanted, lookup));

/** The frame that a piece was composed in; undefined for a lead size that only a team's catalogue knows. */
export function composedFrame(piece: Piece): Box | undefined {
  if (piece.frame) return { x: 0, y: 0, ...piece.frame };
  const lead = placementOf(piece, piece.lead, shippedPlacement);
  return lead && frameOf(lead);
}

/** The piece with the frame that it was composed in written down, where that cannot be known from its lead. */
export function withFrame(piece: Piece, lookup: PlacementLookup): Piece {
  if (composedFrame(piece)) return piece;
  const { width, height } = knownPlacement(piece, piece.lead, lookup);
  return { ...piece, frame: { width, height } };
}

/**
 * The piece as it can be understood anywhere: sizes that the shipped catalogue does not hold, or holds otherwise,
 * bring along what they are.
 */
export function carryingSizes(piece: Piece, lookup: PlacementLookup): Piece {
  const sizes = piece.sizes.map((size) => {
    const own = placementOf(piece, size.placement, lookup);
    return own && own !== shippedPlacement(own.id) ? { ...size, own } : size;
  });
  return { ...piece, sizes };
}
