import { formatHex } from "culori";
import { familyOf, type ColourFamily } from "../colour";
import type { Thumbnail } from "./lab";

/** Shares of a picture from which it is said to have a colour; greys are in every picture. By eye. */
const LEAST = 0.1;
const LEAST_GREY = 0.4;
const GREYS: ReadonlySet<ColourFamily> = new Set(["black", "grey", "white"]);

/** The colours that a picture is found by, the largest first. */
export function familiesIn({ data, width, height }: Thumbnail): ColourFamily[] {
  const counts = new Map<ColourFamily, number>();
  const count = width * height;
  for (let at = 0; at < count; at++) {
    const part = (channel: number): number => data[at * 3 + channel]! / 255;
    const family = familyOf(formatHex({ mode: "rgb", r: part(0), g: part(1), b: part(2) }));
    counts.set(family, (counts.get(family) ?? 0) + 1);
  }
  return [...counts]
    .filter(([family, many]) => many / count >= (GREYS.has(family) ? LEAST_GREY : LEAST))
    .sort(([, a], [, b]) => b - a)
    .map(([family]) => family);
}
