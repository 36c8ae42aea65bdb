import { converter, formatHex, interpolate, toGamut } from "culori";
import type { Hex } from "./colour";

const intoGamut = toGamut("rgb", "oklch");

/** The colour between two, in Oklab: 0 is `from`, 1 is `to`. */
export const mix = (from: Hex, to: Hex, share: number): Hex =>
  formatHex(intoGamut(interpolate([from, to], "oklab")(share)));

/** `at` 0..1 along the gradient; `alpha` 0..1. */
export interface Stop {
  at: number;
  hex: Hex;
  alpha: number;
}

/**
 * Between two neighbours a painter mixes in sRGB, which turns the middle grey; with this many steps
 * between two stops it follows Oklab to less than one level of 255.
 */
const STEPS = 12;

/** The stops that a painter needs to show a gradient mixed in Oklab. */
export function oklabStops(stops: readonly Stop[]): Stop[] {
  const sorted = [...stops].sort((a, b) => a.at - b.at);
  return sorted.flatMap((to, index) => {
    const from = sorted[index - 1];
    if (!from || from.at === to.at || from.hex === to.hex) return [to];
    return Array.from({ length: STEPS }, (_, step): Stop => {
      const share = (step + 1) / STEPS;
      const between = (a: number, b: number) => a + (b - a) * share;
      return {
        at: between(from.at, to.at),
        hex: mix(from.hex, to.hex, share),
        alpha: between(from.alpha, to.alpha),
      };
    });
  });
}

const toOklch = converter("oklch");

/** The colour at another Oklch lightness (0 black, 1 white), brought into sRGB by CSS Color 4's gamut mapping. */
export function atLightness(hex: Hex, lightness: number): Hex {
  const colour = toOklch(hex);
  if (!colour) throw new RangeError(`${hex} is not a colour`);
  return formatHex(intoGamut({ ...colour, l: lightness }));
}

/** Lightnesses of a colour's tints and shades, from nearly white to nearly black. */
const LIGHTNESSES = [0.97, 0.92, 0.84, 0.74, 0.64, 0.54, 0.44, 0.34, 0.25, 0.17] as const;

/** The colour's tints and shades, lightest first. */
export const tintsOf = (hex: Hex): Hex[] =>
  LIGHTNESSES.map((lightness) => atLightness(hex, lightness));
