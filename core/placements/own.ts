import { z } from "zod";
import { box, type Box } from "../geometry";
import { freeId } from "../id";
import { Placement, type Covered } from "./placement";

const side = z
  .number()
  .int()
  .min(1, "a side has at least 1 px")
  .max(20_000, "a side has at most 20 000 px");
const margin = z.number().min(0, "a margin is not negative");

/** A size of one's own, as it is asked for. Lengths are output pixels; `viewWidth` is CSS pixels. */
export const OwnSize = z.object({
  name: z.string().trim().max(80).default(""),
  width: side,
  height: side,
  margins: z.object({ top: margin, right: margin, bottom: margin, left: margin }),
  use: Placement.shape.use.default("post"),
  viewWidth: z.number().positive().optional(),
});
export type OwnSize = z.infer<typeof OwnSize>;

export const OWN_CHANNEL = "own-sizes";

/** A phone is so wide, in CSS pixels; what is larger is usually seen at this width. */
const PHONE = 390;
/** A sheet of paper is read at about this many of its pixels to one on screen (300 to 96 an inch). */
const PRINT_TO_SCREEN = 300 / 96;

/** The placement that a size of one's own is, under an id that is not among `taken`. */
export function ownPlacement(wish: OwnSize, taken: ReadonlySet<string>): Placement {
  const { width, height, margins, use } = wish;
  const least = Math.min(...Object.values(margins));
  return {
    id: freeId(`own-${width}x${height}`, taken),
    name: wish.name || `${width} × ${height}`,
    channel: OWN_CHANNEL,
    width,
    height,
    viewWidth: wish.viewWidth ?? usualViewWidth(width, use),
    use,
    margin: least,
    covered: widerMargins(wish, least),
    crops: [],
    formats: ["png", "jpeg"],
    source: "set by hand",
  };
}

/** Where a size is seen when nobody says: ads and small sizes at their own pixels, posts as wide as a phone. */
export function usualViewWidth(width: number, use: Placement["use"]): number {
  if (use === "ad") return width;
  return use === "poster"
    ? Math.max(1, Math.round(width / PRINT_TO_SCREEN))
    : Math.min(width, PHONE);
}

/** What a side's margin takes beyond the least of the four. */
function widerMargins({ width, height, margins }: OwnSize, least: number): Covered[] {
  const { top, right, bottom, left } = margins;
  const bands: [number, Box][] = [
    [top, box(0, 0, width, top)],
    [bottom, box(0, height - bottom, width, bottom)],
    [left, box(0, 0, left, height)],
    [right, box(width - right, 0, right, height)],
  ];
  return bands.filter(([wide]) => wide > least).map(([, band]) => ({ ...band, by: "margin" }));
}
