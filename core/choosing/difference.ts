import type { Raster } from "../picture";

/** Of 255: what compression makes of one colour differs by less; words and pictures by more. By eye. */
const SAME = 28;
/** Pixels around what differs that are shown with it, so that letters stand whole; a share of the width. By eye. */
const AROUND = 0.012;

/**
 * Which pixels graphics of one size have in common: 1 where all look the same and nothing near differs, else 0, row after row.
 * Graphics of other sides than the first are not compared.
 */
export function commonPixels(rasters: readonly Raster[]): Uint8Array {
  const [first] = rasters;
  if (!first) return new Uint8Array();
  const { width, height } = first;
  const others = rasters.filter((one) => one !== first && isAsLarge(one, first));
  const differs = new Uint8Array(width * height);
  for (const { data } of others)
    for (let pixel = 0; pixel < differs.length; pixel++)
      if (isOther(data, first.data, 4 * pixel)) differs[pixel] = 1;
  const reach = Math.max(1, Math.round(AROUND * width));
  const across = spread(differs, width, height, reach, 1);
  const near = spread(across, width, height, reach, width);
  return near.map((one) => 1 - one);
}

const isAsLarge = (a: Raster, b: Raster): boolean => a.width === b.width && a.height === b.height;

function isOther(a: Uint8ClampedArray, b: Uint8ClampedArray, at: number): boolean {
  for (let channel = 0; channel < 3; channel++)
    if (Math.abs(a[at + channel]! - b[at + channel]!) > SAME) return true;
  return false;
}

/** Marks what lies within reach of a mark, along the rows (`step` 1) or the columns (`step` the width). */
function spread(
  marks: Uint8Array,
  width: number,
  height: number,
  reach: number,
  step: number,
): Uint8Array {
  const isAcross = step === 1;
  const [lines, length] = isAcross ? [height, width] : [width, height];
  const found = new Uint8Array(marks.length);
  for (let line = 0; line < lines; line++) {
    const start = line * (isAcross ? width : 1);
    let last = -Infinity;
    for (let at = 0; at < length + reach; at++) {
      if (at < length && marks[start + at * step]) last = at;
      const behind = at - reach;
      // Within reach before or behind it.
      if (behind >= 0 && behind < length && last >= behind - reach)
        found[start + behind * step] = 1;
    }
  }
  return found;
}
