import { decoded } from "../colour";
import type { PictureFile, Tones } from "../files";
import { bottom, intersect, right, box, type Box } from "../geometry";
import { adjust, type Adjust } from "./adjust";

/** Columns of the grid in which a picture's tones are kept; rows follow from its shape. */
const COLUMNS = 40;

/** Reads the tones off grey values 0..255, row after row; `grey` may be a scaled-down picture. */
export function readTones(grey: Uint8Array, width: number, height: number): Tones {
  const columns = Math.min(COLUMNS, width);
  const rows = Math.max(1, Math.min(height, Math.round((columns * height) / width)));
  const means: number[] = [];
  const details: number[] = [];
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const x0 = Math.floor((column * width) / columns);
      const x1 = Math.max(x0 + 1, Math.floor(((column + 1) * width) / columns));
      const y0 = Math.floor((row * height) / rows);
      const y1 = Math.max(y0 + 1, Math.floor(((row + 1) * height) / rows));
      const { mean, deviation } = statistics(grey, width, x0, y0, x1, y1);
      means.push(round(mean / 255));
      details.push(round(deviation / 255));
    }
  }
  return { columns, rows, grey: means, detail: details };
}

const round = (value: number): number => Math.round(value * 1000) / 1000;

function statistics(
  grey: Uint8Array,
  stride: number,
  x0: number,
  y0: number,
  x1: number,
  y1: number,
): { mean: number; deviation: number } {
  let [sum, squares, count] = [0, 0, 0];
  for (let y = y0; y < y1; y++) {
    for (let x = x0; x < x1; x++) {
      const value = grey[y * stride + x]!;
      sum += value;
      squares += value * value;
      count++;
    }
  }
  const mean = sum / count;
  return { mean, deviation: Math.sqrt(Math.max(0, squares / count - mean * mean)) };
}

export interface GroundTone {
  /** Darkest, mean and lightest relative luminance behind, as adjusted; single specks do not count. */
  darkest: number;
  mean: number;
  lightest: number;
  /** How busy it is: spread of the grey values, 0..1. Under about 0.08 is calm. */
  busy: number;
}

/** What lies behind `area` (picture pixels). */
export function toneOf(picture: PictureFile, area: Box, by: Adjust): GroundTone {
  const cells = cellsIn(picture, area);
  const { tones } = picture;
  const greys = cells.map((cell) => tones.grey[cell]!);
  const luminances = greys.map((grey) => luminanceAfter(grey, by));
  // Inside a cell the picture goes about as far from its mean as it deviates from it.
  const ends = cells.flatMap((cell) => {
    const [grey, detail] = [tones.grey[cell]!, tones.detail[cell]!];
    return [luminanceAfter(grey - detail, by), luminanceAfter(grey + detail, by)];
  });
  const meanGrey = average(greys);
  const between = Math.sqrt(average(greys.map((grey) => (grey - meanGrey) ** 2)));
  return {
    darkest: Math.min(...ends),
    mean: average(luminances),
    lightest: Math.max(...ends),
    busy: between + average(cells.map((cell) => tones.detail[cell]!)),
  };
}

function cellsIn(picture: PictureFile, area: Box): number[] {
  const { columns, rows } = picture.tones;
  const seen = intersect(area, box(0, 0, picture.width, picture.height));
  const column = (x: number) => Math.min(columns - 1, Math.floor((x * columns) / picture.width));
  const row = (y: number) => Math.min(rows - 1, Math.floor((y * rows) / picture.height));
  const cells: number[] = [];
  for (let r = row(seen.y); r <= row(bottom(seen) - 1e-6); r++) {
    for (let c = column(seen.x); c <= column(right(seen) - 1e-6); c++) cells.push(r * columns + c);
  }
  return cells.length > 0 ? cells : [0];
}

const average = (values: number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/** Luminances of 256 grey values after an adjustment; asked for in every layout, so kept. */
const tables = new WeakMap<Adjust, Float64Array>();

function luminanceAfter(grey: number, by: Adjust): number {
  let table = tables.get(by);
  if (!table) tables.set(by, (table = luminanceTable(by)));
  return table[Math.round(255 * Math.min(1, Math.max(0, grey)))]!;
}

/** What becomes of every grey; what depends on the place in the picture is left out. */
function luminanceTable({
  blur: _blur,
  vignette: _vignette,
  grain: _grain,
  ...by
}: Adjust): Float64Array {
  const data = Uint8ClampedArray.from({ length: 256 * 4 }, (_, i) => (i % 4 === 3 ? 255 : i >> 2));
  adjust({ data, width: 256, height: 1, opaque: true }, by, 1);
  return Float64Array.from({ length: 256 }, (_, grey) => {
    const part = (channel: number) => decoded(data[grey * 4 + channel]! / 255);
    return 0.2126 * part(0) + 0.7152 * part(1) + 0.0722 * part(2);
  });
}
