import { CosineTransform } from "../attention";
import { labOf, type Thumbnail } from "../picture";

/** Cells a side of the colours that are kept of a picture. */
const SIDE = 8;
export const LOOK_SOURCE = 32;

/** What is kept of a finished picture, so that it can be told whether another looks the same. */
export interface Look {
  /** 64 bits, as 16 hexadecimal digits. */
  hash: string;
  /** CIELAB of 8 × 8 cells, row after row, each cell's three values side by side, two hexadecimal digits a value. */
  colours: string;
}

const transform = new CosineTransform(LOOK_SOURCE);

/** `picture` has `LOOK_SOURCE` pixels a side. */
export function lookOf(picture: Thumbnail): Look {
  const axes = labOf(picture).map(({ values }) => values);
  return { hash: hashOf(axes[0]!), colours: toHex(coloursOf(axes)) };
}

/**
 * A perceptual hash: of the 8 × 8 lowest frequencies of the lightness, which are above their median (C. Zauner,
 * “Implementation and Benchmarking of Perceptual Image Hash Functions”, 2010, from memory). The constant part is left
 * out of the median and is the first bit.
 */
function hashOf(lightness: Float64Array): string {
  const all = transform.forward(lightness);
  const low = Array.from({ length: 64 }, (_, i) => all[Math.floor(i / 8) * LOOK_SOURCE + (i % 8)]!);
  const sorted = low.slice(1).sort((a, b) => a - b);
  const median = sorted[31]!;
  const bits = low.map((value) => (value > median ? 1 : 0));
  return Array.from({ length: 16 }, (_, digit) =>
    parseInt(bits.slice(4 * digit, 4 * digit + 4).join(""), 2).toString(16),
  ).join("");
}

/** How many bits of two hashes differ, 0..64. */
export function bitsApart(a: string, b: string): number {
  let bits = 0;
  for (let digit = 0; digit < a.length; digit++)
    for (let x = parseInt(a[digit]!, 16) ^ parseInt(b[digit]!, 16); x > 0; x >>= 1) bits += x & 1;
  return bits;
}

function coloursOf(axes: readonly Float64Array[]): Int8Array {
  const cell = LOOK_SOURCE / SIDE;
  const sums = new Float64Array(SIDE * SIDE * axes.length);
  for (const [axis, values] of axes.entries())
    for (const [i, value] of values.entries()) {
      const [x, y] = [Math.floor((i % LOOK_SOURCE) / cell), Math.floor(i / LOOK_SOURCE / cell)];
      sums[(y * SIDE + x) * axes.length + axis]! += value / cell ** 2;
    }
  return Int8Array.from(sums, (value) => Math.max(-128, Math.min(127, Math.round(value))));
}

/** Two hexadecimal digits a byte. */
const toHex = (bytes: Int8Array): string =>
  Array.from(bytes, (value) => (value + 128).toString(16).padStart(2, "0")).join("");

export const fromHex = (text: string): Int8Array =>
  Int8Array.from(
    { length: text.length / 2 },
    (_, i) => parseInt(text.slice(2 * i, 2 * i + 2), 16) - 128,
  );

/**
 * How far the colours of two looks are apart, in CIELAB units: on average over their cells, and where they differ most.
 * Neither is counted to the end once the average is above `enough`; both then only say that it is.
 */
export function coloursApart(
  a: Int8Array,
  b: Int8Array,
  enough = Infinity,
): { mean: number; most: number } {
  const cells = a.length / 3;
  let [sum, most] = [0, 0];
  for (let i = 0; i < a.length; i += 3) {
    const apart = Math.hypot(a[i]! - b[i]!, a[i + 1]! - b[i + 1]!, a[i + 2]! - b[i + 2]!);
    sum += apart;
    most = Math.max(most, apart);
    if (sum > enough * cells) return { mean: sum / cells, most: Infinity };
  }
  return { mean: sum / cells, most };
}
