import type { Share } from "../files";

/** Values over a picture's pixels, row after row. */
export interface Field {
  values: Float64Array;
  width: number;
  height: number;
}

const LEVELS = 64;

/**
 * The value that parts a field best in two, so that the classes differ most: “A Threshold Selection Method from Gray-Level
 * Histograms” (IEEE Transactions on Systems, Man, and Cybernetics, 1979), over 64 levels from 0 on.
 */
export function otsu({ values }: Field): number {
  const most = Math.max(...values);
  const counts = new Array<number>(LEVELS).fill(0);
  for (const value of values) counts[Math.min(LEVELS - 1, Math.floor((LEVELS * value) / most))]!++;
  const total = counts.reduce((sum, count, level) => sum + level * count, 0);
  let [below, sumBelow, best, threshold] = [0, 0, 0, 0];
  counts.forEach((count, level) => {
    below += count;
    sumBelow += level * count;
    const above = values.length - below;
    if (below === 0 || above === 0) return;
    const between = below * above * (sumBelow / below - (total - sumBelow) / above) ** 2;
    if (between > best) [best, threshold] = [between, level + 1];
  });
  return (most * threshold) / LEVELS;
}

/** What `fold` makes of each value with its eight neighbours; at the edges of those that are there. */
export function aroundEach(
  { values, width, height }: Field,
  fold: (near: readonly number[]) => number,
): Float64Array {
  return Float64Array.from(values, (_, i) => {
    const near: number[] = [];
    const [x, y] = [i % width, Math.floor(i / width)];
    for (let v = Math.max(0, y - 1); v <= Math.min(height - 1, y + 1); v++)
      for (let u = Math.max(0, x - 1); u <= Math.min(width - 1, x + 1); u++)
        near.push(values[v * width + u]!);
    return fold(near);
  });
}

/** The box around some pixels of a grid, in shares of its sides: without so many specks at either end, with some air. */
export function extentOf(
  pixels: readonly number[],
  { width, height }: { width: number; height: number },
  { specks = 0, air = 0 } = {},
): Share {
  const along = (values: number[], side: number) => {
    const sorted = values.sort((a, b) => a - b);
    const from = sorted[Math.floor(specks * (sorted.length - 1))]!;
    const to = sorted[Math.ceil((1 - specks) * (sorted.length - 1))]! + 1;
    const [start, end] = [Math.max(0, from / side - air), Math.min(1, to / side + air)];
    return { start: rounded(start), length: rounded(end - start) };
  };
  const columns = pixels.map((i) => i % width);
  const rows = pixels.map((i) => Math.floor(i / width));
  const [x, y] = [along(columns, width), along(rows, height)];
  return { x: x.start, y: y.start, width: x.length, height: y.length };
}

const rounded = (share: number): number => Math.round(share * 1000) / 1000;

/** The connected regions of a field, as lists of pixels, in which its values reach a threshold. */
export function regionsAbove(field: Field, threshold: number): number[][] {
  const seen = new Uint8Array(field.values.length);
  const regions: number[][] = [];
  for (let start = 0; start < seen.length; start++) {
    if (seen[start] || field.values[start]! < threshold) continue;
    seen[start] = 1;
    regions.push(flood([start], field, threshold, seen));
  }
  return regions;
}

/** The pixels with all that are joined to them and reach a threshold. */
export function grownTo(pixels: readonly number[], field: Field, threshold: number): number[] {
  const seen = new Uint8Array(field.values.length);
  for (const pixel of pixels) seen[pixel] = 1;
  return flood(pixels, field, threshold, seen);
}

function flood(
  from: readonly number[],
  { values, width, height }: Field,
  threshold: number,
  seen: Uint8Array,
): number[] {
  const found = [...from];
  for (const at of found) {
    const x = at % width;
    const near = [x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width];
    for (const next of near) {
      if (next < 0 || next >= width * height || seen[next] || values[next]! < threshold) continue;
      seen[next] = 1;
      found.push(next);
    }
  }
  return found;
}
