import type { Raster } from "./raster";

const PASSES = 3;

/**
 * Blurs in place by three box blurs, which come close to a Gaussian of that σ (in pixels): Kovesi, "Fast
 * almost-Gaussian filtering" (2010). Beyond the edge the edge goes on.
 */
export function blur({ data, width, height }: Raster, sigma: number): void {
  for (const radius of boxRadii(sigma)) {
    if (radius === 0) continue;
    for (let y = 0; y < height; y++) blurLine(data, y * width * 4, 4, width, radius);
    for (let x = 0; x < width; x++) blurLine(data, x * 4, width * 4, height, radius);
  }
}

/** Radii of the boxes whose variances add up to the Gaussian's. */
function boxRadii(sigma: number): number[] {
  const ideal = Math.sqrt((12 * sigma * sigma) / PASSES + 1);
  const low = Math.max(1, Math.floor(ideal) - (Math.floor(ideal) % 2 === 0 ? 1 : 0));
  const count = Math.round(
    (12 * sigma * sigma - PASSES * low * low - 4 * PASSES * low - 3 * PASSES) / (-4 * low - 4),
  );
  return Array.from({ length: PASSES }, (_, i) => ((i < count ? low : low + 2) - 1) / 2);
}

function blurLine(
  data: Uint8ClampedArray,
  start: number,
  step: number,
  length: number,
  radius: number,
): void {
  const size = 2 * radius + 1;
  const source = new Uint8Array(length);
  for (let channel = 0; channel < 4; channel++) {
    const first = start + channel;
    for (let i = 0; i < length; i++) source[i] = data[first + i * step]!;
    const at = (i: number): number => source[i < 0 ? 0 : i >= length ? length - 1 : i]!;
    let sum = 0;
    for (let i = -radius; i <= radius; i++) sum += at(i);
    for (let i = 0; i < length; i++) {
      data[first + i * step] = sum / size;
      sum += at(i + radius + 1) - at(i - radius);
    }
  }
}
