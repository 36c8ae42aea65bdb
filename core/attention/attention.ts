import { labOf, type Thumbnail } from "../picture";
import type { Box } from "../geometry";
import { CosineTransform } from "./dct";

/** So many cells a side, whatever the picture's sides. The source takes 64 by 48; with fewer, small things are lost. */
export const ATTENTION_SIDE = 48;
/** The smoothing of the source, in shares of the side. */
const SPREAD = 0.045;
/** A colour axis that hardly differs says nothing: its noise would count as much as another's figures. CIELAB units. */
const FLAT = 0.5;

const transform = new CosineTransform(ATTENTION_SIDE);

/** How likely each cell of a picture is to be looked at first, row after row; all together 1. */
export type Attention = Float64Array;

/**
 * Where a picture is likely to be looked at: its image signature, the sign of its cosine transform, turned back, squared
 * and smoothed, for each axis of CIELAB (X. Hou, J. Harel and C. Koch, “Image Signature: Highlighting Sparse Salient
 * Regions”, IEEE Transactions on Pattern Analysis and Machine Intelligence, 2012, named from memory). The axes count by how
 * far their values spread, since a graphic may have no colour at all. `picture` has `ATTENTION_SIDE` pixels a side. It
 * knows nothing of what words mean, and a prediction is no measurement of eyes.
 */
export function attentionOf(picture: Thumbnail): Attention {
  const attention = new Float64Array(ATTENTION_SIDE ** 2);
  for (const { values } of labOf(picture)) {
    const spread = spreadOf(values);
    if (spread < FLAT) continue;
    const map = smoothed(signature(values));
    const mean = map.reduce((sum, value) => sum + value, 0) / map.length;
    for (let i = 0; i < map.length; i++) attention[i]! += (spread * map[i]!) / mean;
  }
  const all = attention.reduce((sum, value) => sum + value, 0);
  return attention.map((value) => (all > 0 ? value / all : 1 / attention.length));
}

/** The share of the attention that falls into boxes, 0..1; `width` and `height` are those of the picture they lie on. */
export function attentionIn(
  attention: Attention,
  boxes: readonly Box[],
  { width, height }: { width: number; height: number },
): number {
  const isIn = new Uint8Array(attention.length);
  for (const box of boxes) {
    const [left, right] = cellsBetween(box.x / width, (box.x + box.width) / width);
    const [top, bottom] = cellsBetween(box.y / height, (box.y + box.height) / height);
    for (let y = top; y < bottom; y++)
      isIn.fill(1, y * ATTENTION_SIDE + left, y * ATTENTION_SIDE + Math.max(left, right));
  }
  return attention.reduce((sum, value, i) => sum + (isIn[i] ? value : 0), 0);
}

/** The cells whose middles lie between two shares of the side: the first, and the one after the last. */
const cellsBetween = (from: number, to: number): [number, number] => [cellFrom(from), cellFrom(to)];
const cellFrom = (share: number): number =>
  Math.max(0, Math.min(ATTENTION_SIDE, Math.ceil(share * ATTENTION_SIDE - 0.5)));

function signature(values: Float64Array): Float64Array {
  const signs = transform
    .forward(values)
    .map((value) => (Math.abs(value) < 1e-9 ? 0 : Math.sign(value)));
  return transform.inverse(signs).map((value) => value * value);
}

function spreadOf(values: Float64Array): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
}

const REACH = Math.ceil(3 * SPREAD * ATTENTION_SIDE);
const KERNEL = Float64Array.from({ length: 2 * REACH + 1 }, (_, i) =>
  Math.exp(-((i - REACH) ** 2) / (2 * (SPREAD * ATTENTION_SIDE) ** 2)),
);

/** By a Gaussian, in both directions; at the edges what is there counts for what is not. */
function smoothed(values: Float64Array): Float64Array {
  return alongRows(alongRows(values));
}

/** Along rows, and rows and columns changed places. */
function alongRows(values: Float64Array): Float64Array {
  const side = ATTENTION_SIDE;
  const out = new Float64Array(values.length);
  for (let x = 0; x < side; x++) {
    const first = Math.max(0, x - REACH);
    const last = Math.min(side - 1, x + REACH);
    const weights = KERNEL.subarray(first - x + REACH, last - x + REACH + 1);
    const all = weights.reduce((sum, weight) => sum + weight, 0);
    for (let row = 0; row < side; row++) {
      const from = row * side + first;
      let sum = 0;
      for (let i = 0; i < weights.length; i++) sum += weights[i]! * values[from + i]!;
      out[x * side + row] = sum / all;
    }
  }
  return out;
}
