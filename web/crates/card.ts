import type { ListedPiece } from "../../core/api";
import type { Placement } from "../../core/placements";

/** CSS pixels: the graphics of a piece on its crate's shelf, and those small beside the lead. */
export const CARD_HEIGHT = 240;
export const OTHER_WIDTH = 112;
const GAP = 8;
/** With a title on two lines below them. */
export const ROOM_HEIGHT = CARD_HEIGHT + 76;
/** Between cards, and what stands above and below those of a crate. */
const BETWEEN = 32;
const AROUND = 100;
/** Tall, wide and an ad: how it is refitted is seen at a glance. */
const OTHERS = ["story", "community-link", "ad-medium-rectangle"];

interface Card {
  lead: Placement | undefined;
  others: Placement[];
  /** How wide it is in CSS pixels, known before it is painted. */
  width: number;
}

type PlacementOf = (piece: Pick<ListedPiece, "sizes">, id: string) => Placement | undefined;

export const widthAt = (height: number, frame: { width: number; height: number }): number =>
  (height * frame.width) / frame.height;

/** Which sizes of a piece are shown on its crate's shelf. */
export function cardOf(piece: Pick<ListedPiece, "lead" | "sizes">, placementOf: PlacementOf): Card {
  const lead = placementOf(piece, piece.lead);
  const others = OTHERS.filter(
    (id) => id !== piece.lead && piece.sizes.some((size) => size.placement === id),
  )
    .slice(0, 2)
    .flatMap((id) => placementOf(piece, id) ?? []);
  const own = lead ? widthAt(CARD_HEIGHT, lead) : 0;
  return { lead, others, width: Math.round(own + (others.length > 0 ? OTHER_WIDTH + GAP : 0)) };
}

/** The first cards of a crate say how wide the others are likely to be. */
const LOOKED_AT = 12;

/** About how high the cards of a crate stand before they are there, `within` so much width; in CSS pixels. */
export function heightOfShelf(
  pieces: readonly Pick<ListedPiece, "lead" | "sizes">[],
  within: number,
  placementOf: PlacementOf,
): number {
  const widths = pieces.slice(0, LOOKED_AT).map((piece) => cardOf(piece, placementOf).width);
  let rows = pieces.length > 0 ? 1 : 0;
  let x = 0;
  for (const at of pieces.keys()) {
    const width = widths[at % widths.length]!;
    if (x > 0 && x + width > within) {
      rows++;
      x = 0;
    }
    x += width + BETWEEN;
  }
  return AROUND + rows * (ROOM_HEIGHT + BETWEEN);
}
