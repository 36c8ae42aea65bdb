import { clampRgb, converter, parse, wcagLuminance, type Rgb } from "culori";
import { z } from "zod";

/** A colour as six hex digits. Hex stands only at the edges; everything between is computed in floating point. */
export const Hex = z
  .string()
  .regex(/^#[0-9a-fA-F]{6}$/, "a colour is written as # and six hex digits, like #123A3F");
export type Hex = z.infer<typeof Hex>;

const toRgb = converter("rgb");

/** The colour as red, green, blue in 0..1. `hex` must be a colour that `Hex` accepts. */
export function rgb(hex: Hex): Rgb {
  const colour = parse(hex);
  if (!colour) throw new RangeError(`${hex} is not a colour`);
  return clampRgb(toRgb(colour));
}

/** Relative luminance 0..1 by WCAG 2.2. A brand has few colours and each is asked for often. */
export function luminance(hex: Hex): number {
  let value = luminances.get(hex);
  if (value === undefined) luminances.set(hex, (value = wcagLuminance(hex)));
  return value;
}

const luminances = new Map<Hex, number>();

/** Contrast ratio 1..21 by WCAG 2.2, "contrast ratio" and "relative luminance". */
export const contrast = (a: Hex, b: Hex): number => luminanceContrast(luminance(a), luminance(b));

/** Contrast ratio of two relative luminances, WCAG 2.2. */
export const luminanceContrast = (a: number, b: number): number =>
  (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);

/** A ground of this luminance is as far from white as from black by contrast; above it a ground is light. */
export const MIDDLE_LUMINANCE = 0.18;

/** Linear light 0..1 as encoded in sRGB, and back: IEC 61966-2-1. */
export const encoded = (value: number): number =>
  value <= 0.0031308 ? 12.92 * value : 1.055 * value ** (1 / 2.4) - 0.055;
export const decoded = (value: number): number =>
  value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;

/** What WCAG 2.2 asks of text (1.4.3): large text is at least 24 CSS px, or 18.66 CSS px when bold. */
export const CONTRAST_TEXT = 4.5;
export const CONTRAST_LARGE = 3;
/** And of graphics that must be told from their ground: buttons, logos, marks (1.4.11). */
export const CONTRAST_GRAPHIC = 3;

export function contrastNeeded(sizeCssPx: number, weight: number): number {
  const large = sizeCssPx >= 24 || (sizeCssPx >= 18.66 && weight >= 700);
  return large ? CONTRAST_LARGE : CONTRAST_TEXT;
}

/** Of a pixel's red, green and blue, 0..255. */
export const luminanceOfBytes = (r: number, g: number, b: number): number =>
  0.2126 * decoded(r / 255) + 0.7152 * decoded(g / 255) + 0.0722 * decoded(b / 255);

export const hexOfBytes = (r: number, g: number, b: number): Hex =>
  `#${[r, g, b].map((value) => value.toString(16).padStart(2, "0")).join("")}`.toUpperCase();
