import type { Placement } from "../../core/placements";

/** The lead first, then from tall to wide so that the rows have one height, display ads last. */
export function inWallOrder(placements: Placement[], lead: string | undefined): Placement[] {
  const rank = ({ id, width, height, channel }: Placement): number =>
    id === lead ? -1 : width / height + (channel === "display-ads" ? 100 : 0);
  return [...placements].sort((a, b) => rank(a) - rank(b));
}

/** Display ads are shown at this share of a post's area: any smaller and they would vanish. */
const AD_SHARE = 0.3;

/**
 * Tiles of one kind have one area, so that none looks more important than another.
 * `area` in square CSS pixels; answers the width in CSS pixels, `most` at the widest.
 */
export function tileWidth(
  { channel, width, height }: Placement,
  area: number,
  most: number,
): number {
  const own = channel === "display-ads" ? AD_SHARE * area : area;
  return Math.round(Math.min(most, Math.sqrt((own * width) / height)));
}
