import type { Box } from "../geometry";

/** Pixels, RGBA row after row. `opaque` when no pixel lets anything through. */
export interface Raster {
  data: Uint8ClampedArray;
  width: number;
  height: number;
  opaque: boolean;
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

/** For each output pixel of one axis, the first source pixel and the weights of those from there on. */
interface Taps {
  first: Int32Array;
  weights: Float32Array;
  count: number;
}

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
  const top = Math.min(...ends(down.first));
  const rows = Math.max(...ends(down.first)) + down.count - top;
  const strip = source.opaque
    ? squeezeOpaque(source, across, top, rows, width)
    : squeezeClear(source, across, top, rows, width);
  return source.opaque
    ? stackOpaque(strip, down, top, width, height)
    : stackClear(strip, down, top, width, height);
}

const ends = (list: Int32Array): [number, number] => [list[0]!, list[list.length - 1]!];

/** The rows that are needed, at their new width; three channels. */
function squeezeOpaque(
  { data, width: stride }: Raster,
  { first, weights, count }: Taps,
  top: number,
  rows: number,
  width: number,
): Float32Array {
  const strip = new Float32Array(rows * width * 3);
  for (let y = 0, o = 0; y < rows; y++) {
    const row = (top + y) * stride;
    for (let x = 0, w = 0; x < width; x++) {
      let [r, g, b] = [0, 0, 0];
      let i = (row + first[x]!) * 4;
      for (let t = 0; t < count; t++, i += 4) {
        const weight = weights[w++]!;
        r += weight * data[i]!;
        g += weight * data[i + 1]!;
        b += weight * data[i + 2]!;
      }
      strip[o++] = r;
      strip[o++] = g;
      strip[o++] = b;
    }
  }
  return strip;
}

function stackOpaque(
  strip: Float32Array,
  { first, weights, count }: Taps,
  top: number,
  width: number,
  height: number,
): Raster {
  const data = new Uint8ClampedArray(width * height * 4);
  const line = new Float32Array(width * 3);
  for (let y = 0; y < height; y++) {
    line.fill(0);
    for (let t = 0; t < count; t++) {
      const weight = weights[y * count + t]!;
      const from = (first[y]! - top + t) * width * 3;
      for (let i = 0; i < line.length; i++) line[i]! += weight * strip[from + i]!;
    }
    for (let x = 0, i = 0, o = y * width * 4; x < width; x++) {
      data[o++] = line[i++]!;
      data[o++] = line[i++]!;
      data[o++] = line[i++]!;
      data[o++] = 255;
    }
  }
  return { data, width, height, opaque: true };
}

/** As above with four channels; colours are weighted by how much they cover. */
function squeezeClear(
  { data, width: stride }: Raster,
  { first, weights, count }: Taps,
  top: number,
  rows: number,
  width: number,
): Float32Array {
  const strip = new Float32Array(rows * width * 4);
  for (let y = 0, o = 0; y < rows; y++) {
    for (let x = 0; x < width; x++, o += 4) {
      for (let t = 0; t < count; t++) {
        const i = ((top + y) * stride + first[x]! + t) * 4;
        const weight = weights[x * count + t]!;
        const covered = (weight * data[i + 3]!) / 255;
        strip[o]! += covered * data[i]!;
        strip[o + 1]! += covered * data[i + 1]!;
        strip[o + 2]! += covered * data[i + 2]!;
        strip[o + 3]! += weight * data[i + 3]!;
      }
    }
  }
  return strip;
}

function stackClear(
  strip: Float32Array,
  { first, weights, count }: Taps,
  top: number,
  width: number,
  height: number,
): Raster {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0, o = 0; y < height; y++) {
    for (let x = 0; x < width; x++, o += 4) {
      let [r, g, b, a] = [0, 0, 0, 0];
      for (let t = 0; t < count; t++) {
        const i = ((first[y]! - top + t) * width + x) * 4;
        const weight = weights[y * count + t]!;
        r += weight * strip[i]!;
        g += weight * strip[i + 1]!;
        b += weight * strip[i + 2]!;
        a += weight * strip[i + 3]!;
      }
      const by = a > 0.5 ? 255 / a : 0;
      data[o] = r * by;
      data[o + 1] = g * by;
      data[o + 2] = b * by;
      data[o + 3] = a;
    }
  }
  return { data, width, height, opaque: false };
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
