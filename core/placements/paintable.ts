import { problem } from "../problem";
import type { Placement } from "./placement";

/** Of one graphic. Painting takes a dozen bytes for each; this is a sheet of A2 at 300 pixels an inch, with room to spare. */
export const MOST_PIXELS = 72_000_000;

/**
 * Throws `size-too-large` for a graphic that has more pixels than can be painted, with the largest of its shape that can.
 * `scale` is output pixels for each of the placement's.
 */
export function refuseUnpaintable(
  { name, width, height }: Pick<Placement, "name" | "width" | "height">,
  scale = 1,
): void {
  const pixels = width * height * scale * scale;
  if (pixels <= MOST_PIXELS) return;
  const smaller = Math.sqrt(MOST_PIXELS / (width * height));
  const most = { width: Math.floor(width * smaller), height: Math.floor(height * smaller) };
  throw problem("size-too-large", { name, width, height, scale, most });
}
