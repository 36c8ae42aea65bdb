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
  const across = samplesOf(picture.width, width, channels);
  const down = samplesOf(picture.height, height, picture.width * channels);
  const [wide, high] = [across.length / width, down.length / height];
  const count = wide * high;
  const means = new Uint8Array(width * height * 3);
  // Plain loops over flat lists: batches do this for every file.
  for (let row = 0, to = 0; row < height; row++)
    for (let column = 0; column < width; column++, to += 3) {
      let [red, green, blue] = [0, 0, 0];
      for (let i = row * high; i < (row + 1) * high; i++)
        for (let j = column * wide; j < (column + 1) * wide; j++) {
          const at = down[i]! + across[j]!;
          red += data[at]!;
          green += data[at + 1]!;
          blue += data[at + 2]!;
        }
      means[to] = Math.round(red / count);
      means[to + 1] = Math.round(green / count);
      means[to + 2] = Math.round(blue / count);
    }
  return { data: means, width, height };
}

/** For each cell of a side where the pixels stand that are looked at, equally many for all and evenly over it; at least one. */
function samplesOf(from: number, to: number, stride: number): Int32Array {
  const count = Math.max(1, Math.min(LOOKED_AT, Math.floor(from / to)));
  return Int32Array.from({ length: to * count }, (_, i) => {
    const [cell, part] = [Math.floor(i / count), i % count];
    return stride * Math.floor(((cell + (part + 0.5) / count) * from) / to);
  });
}
