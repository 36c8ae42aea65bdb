import { bottom, right, type Box } from "../geometry";

/** Rounds to a hundredth of a pixel, the only place where a length is rounded. */
const n = (value: number): string => String(Math.round(value * 100) / 100);

/** A rectangle with corners of the given radius, as SVG path data. */
export function rectangle(b: Box, radius = 0): string {
  const r = Math.min(radius, b.width / 2, b.height / 2);
  if (r <= 0) return `M${n(b.x)} ${n(b.y)}H${n(right(b))}V${n(bottom(b))}H${n(b.x)}Z`;
  const arc = (x: number, y: number) => `A${n(r)} ${n(r)} 0 0 1 ${n(x)} ${n(y)}`;
  return [
    `M${n(b.x + r)} ${n(b.y)}H${n(right(b) - r)}${arc(right(b), b.y + r)}`,
    `V${n(bottom(b) - r)}${arc(right(b) - r, bottom(b))}`,
    `H${n(b.x + r)}${arc(b.x, bottom(b) - r)}`,
    `V${n(b.y + r)}${arc(b.x + r, b.y)}Z`,
  ].join("");
}

export function ellipse(b: Box): string {
  const [rx, ry] = [n(b.width / 2), n(b.height / 2)];
  const y = n(b.y + b.height / 2);
  return `M${n(b.x)} ${y}A${rx} ${ry} 0 1 1 ${n(right(b))} ${y}A${rx} ${ry} 0 1 1 ${n(b.x)} ${y}Z`;
}

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
