import type { Field } from "./regions";

/** RGB, three bytes a pixel, row after row. */
export interface Thumbnail {
  data: Uint8Array;
  width: number;
  height: number;
}

/** Lightness and the two colour axes of CIELAB. */
export type Colours = readonly [Field, Field, Field];

/** sRGB's 256 values as light, 0..1 (IEC 61966-2-1). */
const LIGHT = Float64Array.from({ length: 256 }, (_, i) => {
  const value = i / 255;
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
});

/** From light in sRGB's primaries to XYZ as shares of the white D65 (CSS Color 4). Each row adds up to 1. */
const TO_XYZ = [
  [506752 / 1228815, 87881 / 245763, 12673 / 70218],
  [87098 / 409605, 175762 / 245763, 12673 / 175545],
  [7918 / 409605, 87881 / 737289, 1001167 / 1053270],
].map((row) => row.map((value) => value / row.reduce((a, b) => a + b, 0))) as [Row, Row, Row];
type Row = [number, number, number];

/** CIE 15: where the cube root gives way to a straight line, so that black is not infinitely steep. */
const root = (share: number): number =>
  share > 216 / 24389 ? Math.cbrt(share) : (share * (24389 / 27) + 16) / 116;

/** By whole arithmetic, since many pixels are asked for; a test holds it to a colour library's. */
export function labOf({ data, width, height }: Thumbnail): Colours {
  const pixels = width * height;
  const axes = [0, 1, 2].map(() => new Float64Array(pixels)) as [
    Field["values"],
    Field["values"],
    Field["values"],
  ];
  const [l, a, b] = axes;
  const [toX, toY, toZ] = TO_XYZ;
  for (let i = 0, at = 0; i < pixels; i++, at += 3) {
    const [red, green, blue] = [LIGHT[data[at]!]!, LIGHT[data[at + 1]!]!, LIGHT[data[at + 2]!]!];
    const x = root(toX[0] * red + toX[1] * green + toX[2] * blue);
    const y = root(toY[0] * red + toY[1] * green + toY[2] * blue);
    const z = root(toZ[0] * red + toZ[1] * green + toZ[2] * blue);
    l[i] = 116 * y - 16;
    a[i] = 500 * (x - y);
    b[i] = 200 * (y - z);
  }
  return axes.map((values) => ({ values, width, height })) as [Field, Field, Field];
}

/** How far the colours of two pixels are apart, in CIELAB units. */
export const apart = (colours: Colours, a: number, b: number): number =>
  Math.hypot(...colours.map(({ values }) => values[a]! - values[b]!));
