import type { Pixels } from "../../core/attention";
import type { Box } from "../../core/geometry";

export type Rgb = readonly [number, number, number];
export const SAND: Rgb = [235, 228, 214];
export const TIDE: Rgb = [20, 70, 110];
export const CORAL: Rgb = [226, 88, 62];

/** A picture whose pixels are painted one by one. */
export function painted(width: number, height: number, at: (x: number, y: number) => Rgb): Pixels {
  const data = new Uint8Array(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.set(at(x, y), (y * width + x) * 3);
  return { data, width, height, channels: 3 };
}

export const isIn = ({ x: left, y: top, width, height }: Box, x: number, y: number): boolean =>
  x >= left && x < left + width && y >= top && y < top + height;
