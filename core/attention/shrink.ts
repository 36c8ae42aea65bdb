import type { Thumbnail } from "../picture";

/** Pixels of a finished picture, row after row; what lies beyond the third channel is not looked at. */
export interface Pixels {
  data: Uint8Array | Uint8ClampedArray;
  width: number;
  height: number;
  channels: 3 | 4;
}

/** Of a cell that is larger, so many pixels a side are looked at: means hardly change by more. */
const LOOKED_AT = 3;

/**
 * The picture at other sides: each of its pixels is the mean of those that fall on it, or the nearest one. Sides may be
 * squeezed differently.
 */
export function shrink(picture: Pixels, width: number, height: number): Thumbnail {
  const { data, channels } = picture;
  const across = samplesOf(picture.width, width);
  const down = samplesOf(picture.height, height);
  const means = new Uint8Array(width * height * 3);
  for (let row = 0, to = 0; row < height; row++)
    for (let column = 0; column < width; column++, to += 3) {
      let [red, green, blue] = [0, 0, 0];
      for (const y of down[row]!)
        for (const x of across[column]!) {
          const at = (y * picture.width + x) * channels;
          red += data[at]!;
          green += data[at + 1]!;
          blue += data[at + 2]!;
        }
      const count = down[row]!.length * across[column]!.length;
      means[to] = Math.round(red / count);
      means[to + 1] = Math.round(green / count);
      means[to + 2] = Math.round(blue / count);
    }
  return { data: means, width, height };
}

/** For each cell of a side the pixels that are looked at, evenly over it; at least one. */
function samplesOf(from: number, to: number): number[][] {
  return Array.from({ length: to }, (_, cell) => {
    const first = Math.floor((cell * from) / to);
    const length = Math.max(1, Math.floor(((cell + 1) * from) / to) - first);
    const count = Math.min(length, LOOKED_AT);
    return Array.from(
      { length: count },
      (_, i) => first + Math.floor(((i + 0.5) * length) / count),
    );
  });
}
