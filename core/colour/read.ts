import { displayable, formatHex, parse, toGamut } from "culori";
import type { Hex } from "./colour";

const intoGamut = toGamut("rgb", "oklch");

/**
 * A colour as people type it: hex with or without #, of three or six digits, a CSS name, or rgb(), hsl(),
 * oklch() and the other functions of CSS Color 4; what lies outside sRGB is brought in by its gamut mapping.
 * Undefined when it cannot be read.
 */
export function readColour(typed: string): Hex | undefined {
  const text = typed.trim().replace(/[;,]$/, "");
  const bare = /^(?:[0-9a-f]{3}|[0-9a-f]{6})$/i.test(text) ? `#${text}` : text;
  const colour = parse(bare.toLowerCase());
  if (!colour || colour.alpha === 0) return undefined;
  const opaque = { ...colour, alpha: undefined };
  return formatHex(displayable(opaque) ? opaque : intoGamut(opaque)).toUpperCase();
}

/** What is probably meant by something that cannot be read: letters that look like digits, digits too many. */
export function probablyMeant(typed: string): Hex | undefined {
  // A word is no slip of the finger.
  if (!/[#\d]/.test(typed)) return undefined;
  const digits = typed
    .replace(/o/gi, "0")
    .replace(/[il]/gi, "1")
    .replace(/[^0-9a-f]/gi, "");
  return [6, 3]
    .map((length) => readColour(digits.slice(0, length)))
    .find((hex) => hex && digits.length >= 3);
}
