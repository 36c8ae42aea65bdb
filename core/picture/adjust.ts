import { hexOfBytes, rgb, type Hex } from "../colour";
import { blur } from "./blur";
import type { Raster } from "./raster";

/** Changes to a picture's pixels, with colours looked up; what is missing does nothing. */
export interface Adjust {
  brightness?: number;
  contrast?: number;
  saturation?: number;
  warmth?: number;
  greyscale?: number;
  blur?: number;
  duotone?: { dark: Hex; light: Hex };
  tint?: { hex: Hex; amount: number };
  vignette?: number;
  grain?: { amount: number; seed: number };
}

/** Weights of red, green and blue in a grey value: Rec. 601 luma, as in most greyscale conversions. */
const LUMA = [0.299, 0.587, 0.114] as const;

/** How far a full setting goes. Our own choice, by eye. */
const BRIGHTEST = 0.4;
const CONTRAST_DOUBLINGS = 1.5;
const WARMEST = 0.14;
const DARKEST_CORNER = 0.85;
const COARSEST_GRAIN = 0.3;

/**
 * Applies the adjustments to RGBA pixels in place, each channel v in 0..1 of sRGB, in this order; alpha is left
 * alone. `scale` is output pixels for each pixel of the scene, so that blur and grain look alike at any scale.
 *
 * 1. blur: three box blurs of σ = blur × √(width × height)
 * 2. brightness b: v + 0.4 b
 * 3. contrast c: (v − ½) × 2^(1.5 c) + ½
 * 4. warmth w: red × (1 + 0.14 w), blue × (1 − 0.14 w)
 * 5. saturation s and greyscale g: y + (v − y)(1 + s)(1 − g), y being Rec. 601 luma; then cut to 0..1
 * 6. duotone: dark + (light − dark) × y, mixed in sRGB as the eye expects of a print in two inks
 * 7. tint: v + (tint − v) × amount
 * 8. vignette a: v × (1 − 0.85 a t²(3 − 2t)), t = the way from half the half diagonal to its end, 0..1
 * 9. grain: v + 0.3 × amount × (noise − ½), noise being a hash of seed and pixel of the scene
 */
export function adjust(raster: Raster, by: Adjust, scale: number): void {
  if (by.blur) blur(raster, by.blur * Math.sqrt(raster.width * raster.height));
  if (isOnlyDuotone(by)) duotoneOnly(raster.data, by.duotone!);
  else if (changesColour(by)) recolour(raster, by, scale);
}

/** What becomes of one flat colour. */
export function adjustedHex(hex: Hex, by: Adjust): Hex {
  const { r, g, b } = rgb(hex);
  const data = Uint8ClampedArray.of(255 * r, 255 * g, 255 * b, 255);
  adjust({ data, width: 1, height: 1, opaque: true }, { ...by, blur: 0 }, 1);
  return hexOfBytes(data[0]!, data[1]!, data[2]!);
}

/** Whether a flat colour stays one: nothing depends on the place in the picture. */
export const isEven = ({ vignette, grain }: Adjust): boolean => !vignette && !grain;

const changesColour = ({ blur: _blur, ...rest }: Adjust): boolean => Object.keys(rest).length > 0;

const isOnlyDuotone = (by: Adjust): boolean =>
  by.duotone !== undefined && Object.keys(by).every((key) => key === "duotone" || key === "blur");

/** The most usual adjustment, by a table of what becomes of the 256 greys. */
function duotoneOnly(pixels: Uint8ClampedArray, { dark, light }: { dark: Hex; light: Hex }): void {
  const [from, to] = [rgb(dark), rgb(light)];
  const table = new Uint8Array(256 * 3);
  for (let grey = 0; grey < 256; grey++) {
    const share = grey / 255;
    table[grey * 3] = Math.round(255 * (from.r + (to.r - from.r) * share));
    table[grey * 3 + 1] = Math.round(255 * (from.g + (to.g - from.g) * share));
    table[grey * 3 + 2] = Math.round(255 * (from.b + (to.b - from.b) * share));
  }
  for (let i = 0; i < pixels.length; i += 4) {
    const grey = Math.round(
      LUMA[0] * pixels[i]! + LUMA[1] * pixels[i + 1]! + LUMA[2] * pixels[i + 2]!,
    );
    pixels[i] = table[grey * 3]!;
    pixels[i + 1] = table[grey * 3 + 1]!;
    pixels[i + 2] = table[grey * 3 + 2]!;
  }
}

function recolour({ data, width, height }: Raster, by: Adjust, scale: number): void {
  const [reds, greens, blues] = toneTables(by);
  const chroma = (1 + (by.saturation ?? 0)) * (1 - (by.greyscale ?? 0));
  const inks = by.duotone && { dark: rgb(by.duotone.dark), light: rgb(by.duotone.light) };
  const wash = by.tint && { ...rgb(by.tint.hex), amount: by.tint.amount };
  const shade = by.vignette ? vignetteOver(width, height, by.vignette) : undefined;
  const { amount: grain = 0, seed = 0 } = by.grain ?? {};
  for (let i = 0; i < data.length; i += 4) {
    let r = reds[data[i]!]!;
    let g = greens[data[i + 1]!]!;
    let b = blues[data[i + 2]!]!;
    const y = LUMA[0] * r + LUMA[1] * g + LUMA[2] * b;
    r = clamp(y + (r - y) * chroma);
    g = clamp(y + (g - y) * chroma);
    b = clamp(y + (b - y) * chroma);
    if (inks) {
      const share = clamp(y);
      r = inks.dark.r + (inks.light.r - inks.dark.r) * share;
      g = inks.dark.g + (inks.light.g - inks.dark.g) * share;
      b = inks.dark.b + (inks.light.b - inks.dark.b) * share;
    }
    if (wash) {
      r += (wash.r - r) * wash.amount;
      g += (wash.g - g) * wash.amount;
      b += (wash.b - b) * wash.amount;
    }
    const x = (i / 4) % width;
    const row = (i / 4 - x) / width;
    const light = shade ? shade(x, row) : 1;
    const speck = grain
      ? COARSEST_GRAIN * grain * (noise(Math.floor(x / scale), Math.floor(row / scale), seed) - 0.5)
      : 0;
    // Writing into a clamped array rounds and cuts.
    data[i] = 255 * (r * light + speck);
    data[i + 1] = 255 * (g * light + speck);
    data[i + 2] = 255 * (b * light + speck);
  }
}

const clamp = (value: number): number => (value < 0 ? 0 : value > 1 ? 1 : value);

/** What brightness, contrast and warmth make of the 256 levels of red, green and blue. */
function toneTables({ brightness = 0, contrast = 0, warmth = 0 }: Adjust) {
  const gain = 2 ** (CONTRAST_DOUBLINGS * contrast);
  const table = (factor: number): Float64Array =>
    Float64Array.from(
      { length: 256 },
      (_, level) => ((level / 255 + BRIGHTEST * brightness - 0.5) * gain + 0.5) * factor,
    );
  return [table(1 + WARMEST * warmth), table(1), table(1 - WARMEST * warmth)] as const;
}

function vignetteOver(width: number, height: number, amount: number) {
  const half = Math.hypot(width, height) / 2;
  return (x: number, y: number): number => {
    const away = Math.hypot(x + 0.5 - width / 2, y + 0.5 - height / 2) / half;
    const t = clamp((away - 0.5) / 0.5);
    return 1 - DARKEST_CORNER * amount * t * t * (3 - 2 * t);
  };
}

/** A number 0..1 that looks random but follows from its place and seed: an integer hash (Wang, from memory). */
function noise(x: number, y: number, seed: number): number {
  let h = Math.imul(x, 374761393) ^ Math.imul(y, 668265263) ^ Math.imul(seed + 1, 2246822519);
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** The adjustments in a cache's name: equal for equal ones. */
export const adjustKey = (by: Adjust): string =>
  JSON.stringify(by, Object.keys(by).sort().concat(INNER));
const INNER = ["dark", "light", "hex", "amount", "seed"];
