import { bottom, right, type Box } from "../geometry";
import { n } from "./path";

/**
 * A cubic that follows half a period of a sine: with its handles this far along, and `SINE_PEAK` crests
 * out, it has the sine's crest and the sine's slope (π crests a half period) at its ends.
 */
const SINE_HANDLE = 4 / (3 * Math.PI);
/** How far beyond the crest the handles lie, so that the curve itself just reaches it. */
const SINE_PEAK = 4 / 3;

/**
 * Rows of waves over a box, one open path; lengths are shares of `extent`, the frame's geometric mean.
 * The rows start at the box's top and the waves at the frame's left, so neighbours match.
 */
export function waves(b: Box, extent: number): { d: string; strokeWidth: number } {
  const half = 0.086 * extent;
  const amplitude = 0.024 * extent;
  const spacing = 0.056 * extent;
  const strokeWidth = 0.0135 * extent;
  const rows: string[] = [];
  const first = b.y + amplitude + strokeWidth;
  for (let y = first; y < bottom(b) + amplitude; y += spacing) {
    const start = Math.floor(b.x / half) * half;
    let row = `M${n(start)} ${n(y)}`;
    let sign = Math.round(start / half) % 2 === 0 ? -1 : 1;
    for (let x = start; x < right(b); x += half, sign = -sign) {
      const peak = y + sign * amplitude * SINE_PEAK;
      row += `C${n(x + half * SINE_HANDLE)} ${n(peak)} ${n(x + half * (1 - SINE_HANDLE))} ${n(peak)} ${n(x + half)} ${n(y)}`;
    }
    rows.push(row);
  }
  return { d: rows.join(""), strokeWidth };
}

/** The part of a box below one row of waves along its top. */
export function waveEdge(b: Box): string {
  const count = Math.max(2, Math.round(b.width / (0.9 * b.height) / 2) * 2);
  const half = b.width / count;
  const amplitude = Math.min(0.35 * b.height, 0.28 * half);
  let d = `M${n(b.x)} ${n(bottom(b))}V${n(b.y + amplitude)}`;
  for (let i = 0; i < count; i++) {
    const x = b.x + i * half;
    const peak = b.y + amplitude + (i % 2 === 0 ? -1 : 1) * amplitude * SINE_PEAK;
    d += `C${n(x + half * SINE_HANDLE)} ${n(peak)} ${n(x + half * (1 - SINE_HANDLE))} ${n(peak)} ${n(x + half)} ${n(b.y + amplitude)}`;
  }
  return `${d}V${n(bottom(b))}Z`;
}
