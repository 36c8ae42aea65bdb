import {
  area,
  between,
  bottom,
  box,
  inset,
  intersect,
  largestFree,
  right,
  type Box,
} from "../geometry";
import type { Crop, Placement } from "./placement";

/** Text smaller than this, as seen on the usual screen, is not read. Common practice; display ads get by with 10. */
const FLOOR_CSS_PX = 11;
const FLOOR_AD_CSS_PX = 10;

export const frameOf = (placement: Placement): Box => box(0, 0, placement.width, placement.height);

/**
 * The largest rectangle that keeps the margin, is clear of everything the channel covers, and survives every crop that
 * promises to keep all, in output pixels.
 */
export function safeArea(placement: Placement): Box {
  const clear = largestFree(inset(frameOf(placement), placement.margin), placement.covered);
  return keptOf(placement, "all", clear);
}

/** The largest rectangle that is seen wherever the placement is shown: not covered, and inside every crop. */
export const clearArea = (placement: Placement): Box =>
  placement.crops
    .map(insideCrop)
    .reduce(intersect, largestFree(frameOf(placement), placement.covered));

/** The part of the safe area in which `role` survives every crop that promises to keep it. */
export const keptArea = (placement: Placement, role: string): Box =>
  keptOf(placement, role, safeArea(placement));

const keptOf = ({ crops }: Placement, role: string, within: Box): Box =>
  crops
    .filter(({ keeps }) => keeps.includes(role))
    .map(insideCrop)
    .reduce(intersect, within);

/** A crop's own rectangle, or for a circle the largest square inside it. */
function insideCrop(crop: Crop): Box {
  if (crop.shape === "rect") return crop;
  const side = Math.min(crop.width, crop.height) / Math.SQRT2;
  const x = crop.x + (crop.width - side) / 2;
  const y = crop.y + (crop.height - side) / 2;
  return box(x, y, side, side);
}

/** The least type size, in output pixels, that is still legible where the placement is seen. */
export function legibilityFloor(placement: Placement): number {
  const css = placement.channel === "display-ads" ? FLOOR_AD_CSS_PX : FLOOR_CSS_PX;
  return css / cssPerPixel(placement);
}

/** From this size on as viewed, in CSS pixels, a frame has room for the facts of a message: a page cover, not a leaderboard. By eye. */
const FACTS = { area: 250 * 150, side: 95 } as const;
/** From this height or width on it has room for all of it. Common practice. */
const ALL = 150;

/** What a frame has room for as it is viewed: all of a message, its facts, or little more than a headline. */
export type Room = "all" | "facts" | "little";

export function roomOf(placement: Placement): Room {
  const css = cssPerPixel(placement);
  const [width, height] = [placement.width * css, placement.height * css];
  const side = Math.min(width, height);
  if (width * height < FACTS.area || side < FACTS.side) return "little";
  return side < ALL || isMostlyCropped(placement) ? "facts" : "all";
}

/** What some screens crop to a strip has no more room than that. */
const isMostlyCropped = (placement: Placement): boolean => {
  const frame = frameOf(placement);
  return area(keptOf(placement, "all", frame)) < 0.5 * area(frame);
};

/** How many CSS pixels one output pixel takes on the usual screen. */
export const cssPerPixel = (placement: Placement): number => placement.viewWidth / placement.width;

/** The parts of the frame outside the safe area, for drawing: top, bottom, left, right. */
export function outside(placement: Placement): Box[] {
  const frame = frameOf(placement);
  const safe = safeArea(placement);
  return [
    between(0, 0, frame.width, safe.y),
    between(0, bottom(safe), frame.width, frame.height),
    between(0, safe.y, safe.x, bottom(safe)),
    between(right(safe), safe.y, frame.width, bottom(safe)),
  ].filter((part) => part.width > 0 && part.height > 0);
}
