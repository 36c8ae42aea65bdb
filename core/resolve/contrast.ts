import { luminance, luminanceContrast } from "../colour";
import type { TextNode } from "./resolved";

/** How words stand out from a ground of that luminance: by their own colour, or by an outline that is stronger. */
export function wordContrast(
  { colour, outline }: Pick<TextNode, "colour" | "outline">,
  ground: number,
): number {
  const own = luminanceContrast(luminance(colour), ground);
  return outline ? Math.max(own, luminanceContrast(luminance(outline.hex), ground)) : own;
}
