import { converter, formatHex, interpolate, toGamut } from "culori";
import { contrast, type Hex } from "./colour";

const toOklch = converter("oklch");
/** In Oklch: 0 is grey, the strongest colours of a screen come to about 0.3. */
export const chromaOf = (hex: Hex): number => toOklch(hex)?.c ?? 0;
const intoGamut = toGamut("rgb", "oklch");

/**
 * How much of the chroma that a straight way through Oklab loses is given back: a mixture of two far hues
 * would pass by grey. By eye: all of it makes a rainbow, none of it mud.
 */
const VIVID = 0.25;

/** The colour between two, in Oklab with its chroma kept up: 0 is `from`, 1 is `to`. */
export function mix(from: Hex, to: Hex, share: number): Hex {
  const straight = toOklch(interpolate([from, to], "oklab")(share));
  const [a, b] = [chromaOf(from), chromaOf(to)];
  const kept = a + (b - a) * share;
  const lost = Math.max(0, kept - straight.c);
  return formatHex(intoGamut({ ...straight, c: straight.c + VIVID * lost }));
}

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

/** The colour at another Oklch lightness (0 black, 1 white), brought into sRGB by CSS Color 4's gamut mapping. */
export function atLightness(hex: Hex, lightness: number): Hex {
  const colour = toOklch(hex);
  if (!colour) throw new RangeError(`${hex} is not a colour`);
  return formatHex(intoGamut({ ...colour, l: lightness }));
}

/** Lightness is changed in steps of this until a tint reads. */
const LIGHTNESS_STEP = 0.01;

/** The colour itself, or its nearest tint or shade, that has the contrast on the ground; undefined when none has. */
export function readableTint(hex: Hex, ground: Hex, needed: number): Hex | undefined {
  const own = toOklch(hex)?.l ?? 0;
  if (contrast(hex, ground) >= needed) return hex;
  for (let by = LIGHTNESS_STEP; by < 1; by += LIGHTNESS_STEP) {
    for (const lightness of [own - by, own + by]) {
      if (lightness < 0 || lightness > 1) continue;
      const tint = atLightness(hex, lightness);
      if (contrast(tint, ground) >= needed) return tint;
    }
  }
  return undefined;
}
