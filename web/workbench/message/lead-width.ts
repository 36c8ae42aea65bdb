import type { Placement } from "../../../core/placements";
import { LEAST_TILE } from "../../wall/packing";

/** Around the lead and between it and the others, in CSS pixels. */
const PADDING = 44;
const GAP = 24;
/** Its name below it, and the bar above. */
const AROUND = 150;
/** So high at least, where the screen is wide enough: less is not read. */
const LEAST_HEIGHT = 480;
/** Beside one wider than this nothing else has room; the others stand below it. */
const WIDE = 1.3;

/** A room narrower than this is a phone's: one after the other. */
const NARROW = 560;

/** How wide the lead is shown while it is written, in CSS pixels, in a room of that size. */
export function leadWidth(
  { width, height }: Pick<Placement, "width" | "height">,
  room: { width: number; height: number },
): number {
  const ratio = width / height;
  const beside = ratio > WIDE || room.width < NARROW ? 0 : LEAST_TILE + GAP;
  const wide = Math.max(LEAST_TILE, room.width - PADDING - beside);
  const high = Math.max(LEAST_HEIGHT, room.height - AROUND);
  return Math.round(Math.min(wide, high * ratio, width));
}
