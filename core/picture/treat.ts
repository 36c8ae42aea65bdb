import type { Treatment } from "../brand";
import { rgb } from "../colour";

/** Weights of red, green and blue in a grey value: Rec. 601 luma, as in most greyscale conversions. */
const LUMA = [0.299, 0.587, 0.114] as const;

/**
 * Applies a treatment to RGBA pixels (0..255) in place; alpha is left alone.
 * Duotone: each channel is `dark + (light − dark) × grey`, grey being Rec. 601 luma in 0..1,
 * mixed in sRGB as the eye expects of a print in two inks.
 */
export function treat(pixels: Uint8Array | Uint8ClampedArray, treatment: Treatment): void {
  if (treatment.kind === "none") return;
  const table = duotoneTable(treatment.dark, treatment.light);
  for (let i = 0; i < pixels.length; i += 4) {
    const grey = Math.round(
      LUMA[0] * pixels[i]! + LUMA[1] * pixels[i + 1]! + LUMA[2] * pixels[i + 2]!,
    );
    pixels[i] = table[grey * 3]!;
    pixels[i + 1] = table[grey * 3 + 1]!;
    pixels[i + 2] = table[grey * 3 + 2]!;
  }
}

function duotoneTable(dark: string, light: string): Uint8Array {
  const [from, to] = [rgb(dark), rgb(light)];
  const table = new Uint8Array(256 * 3);
  for (let grey = 0; grey < 256; grey++) {
    const share = grey / 255;
    table[grey * 3] = Math.round(255 * (from.r + (to.r - from.r) * share));
    table[grey * 3 + 1] = Math.round(255 * (from.g + (to.g - from.g) * share));
    table[grey * 3 + 2] = Math.round(255 * (from.b + (to.b - from.b) * share));
  }
  return table;
}

/** A treatment's name in a cache or an address. */
export const treatmentKey = (treatment: Treatment): string =>
  treatment.kind === "none"
    ? "none"
    : `duotone-${treatment.dark.slice(1)}-${treatment.light.slice(1)}`.toLowerCase();
