import type { Box } from "../geometry";
import { resample, type Taps } from "./resample";

/** Pixels, RGBA row after row. `opaque` when no pixel lets anything through. */
export interface Raster {
  data: Uint8ClampedArray;
  width: number;
  height: number;
  opaque: boolean;
}

/** Decoded RGBA pixels as a raster. */
export function rasterOf(data: Uint8ClampedArray, width: number, height: number): Raster {
  let opaque = true;
  for (let i = 3; opaque && i < data.length; i += 4) opaque = data[i] === 255;
  return { data, width, height, opaque };
}

/** What is shown of a picture. `crop` is in pixels of the raster, before the turn about its own middle. */
export interface View {
  crop: Box;
  /** Degrees clockwise. */
  turn: number;
  flipH: boolean;
  flipV: boolean;
}

/** Pixels that fill `width` × `height` with the view. The same arithmetic, so the same pixels, everywhere. */
export function sample(source: Raster, view: View, width: number, height: number): Raster {
  return view.turn === 0
    ? sampleUpright(source, view, width, height)
    : sampleTurned(source, view, width, height);
}

/** Cubic convolution with a = −½: Keys, "Cubic convolution interpolation for digital image processing" (1981). */
function cubic(distance: number): number {
  const d = Math.abs(distance);
  if (d < 1) return (1.5 * d - 2.5) * d * d + 1;
  return d < 2 ? ((-0.5 * d + 2.5) * d - 4) * d + 2 : 0;
}

const REACH = 2;

/** When the picture is made smaller, the kernel is widened so that no pixel is left out. */
function tapsFor(start: number, length: number, out: number, most: number, flip: boolean): Taps {
  const step = length / out;
  const widen = Math.max(1, step);
  const count = Math.min(most, Math.ceil(REACH * widen) * 2 + 1);
  const first = new Int32Array(out);
  const weights = new Float32Array(out * count);
  for (let i = 0; i < out; i++) {
    const middle = start + ((flip ? out - 1 - i : i) + 0.5) * step - 0.5;
    const begin = Math.min(Math.max(0, Math.ceil(middle - REACH * widen)), most - count);
    first[i] = begin;
    let sum = 0;
    for (let t = 0; t < count; t++)
      sum += weights[i * count + t] = cubic((begin + t - middle) / widen);
    // Outside the picture nothing is known: the weights that are left stand for all.
    for (let t = 0; t < count; t++) weights[i * count + t]! /= sum || 1;
  }
  return { first, weights, count };
}

function sampleUpright(
  source: Raster,
  { crop, flipH, flipV }: View,
  width: number,
  height: number,
): Raster {
  const across = tapsFor(crop.x, crop.width, width, source.width, flipH);
  const down = tapsFor(crop.y, crop.height, height, source.height, flipV);
  return { data: resample(source, across, down), width, height, opaque: source.opaque };
}

/** Pixel by pixel from the sixteen source pixels around; beyond the edge the edge goes on. */
function sampleTurned(source: Raster, view: View, width: number, height: number): Raster {
  const { crop } = view;
  const [cx, cy] = [crop.x + crop.width / 2, crop.y + crop.height / 2];
  const radians = (view.turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0, o = 0; y < height; y++) {
    const v = ((y + 0.5) / height - 0.5) * crop.height * (view.flipV ? -1 : 1);
    for (let x = 0; x < width; x++, o += 4) {
      const u = ((x + 0.5) / width - 0.5) * crop.width * (view.flipH ? -1 : 1);
      const [sx, sy] = [cx + u * cos + v * sin - 0.5, cy - u * sin + v * cos - 0.5];
      sixteen(source, sx, sy, data, o);
    }
  }
  return { data, width, height, opaque: source.opaque };
}

function sixteen(
  { data, width, height }: Raster,
  x: number,
  y: number,
  out: Uint8ClampedArray,
  o: number,
): void {
  const [left, top] = [Math.floor(x) - 1, Math.floor(y) - 1];
  const sums = [0, 0, 0, 0];
  for (let j = 0; j < 4; j++) {
    const row = Math.min(Math.max(0, top + j), height - 1) * width;
    const down = cubic(y - top - j);
    for (let i = 0; i < 4; i++) {
      const at = (row + Math.min(Math.max(0, left + i), width - 1)) * 4;
      const weight = down * cubic(x - left - i);
      const covered = (weight * data[at + 3]!) / 255;
      sums[0]! += covered * data[at]!;
      sums[1]! += covered * data[at + 1]!;
      sums[2]! += covered * data[at + 2]!;
      sums[3]! += weight * data[at + 3]!;
    }
  }
  const by = sums[3]! > 0.5 ? 255 / sums[3]! : 0;
  for (let c = 0; c < 3; c++) out[o + c] = sums[c]! * by;
  out[o + 3] = sums[3]!;
}
