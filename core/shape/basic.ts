import { bottom, right, type Box } from "../geometry";
import { n } from "./path";

/**
 * Where the handles of a quarter circle stand as a cubic curve, as a share of its radius: 4/3 (√2 − 1). Curves and not
 * arcs, since painters turn an arc into curves each in its own way, and a pixel at its edge shows it.
 */
const QUARTER = (4 / 3) * (Math.SQRT2 - 1);

const curve = (...at: number[]): string => `C${at.map(n).join(" ")}`;

/** A rectangle with corners of the given radius, as SVG path data. */
export function rectangle(b: Box, radius = 0): string {
  const r = Math.min(radius, b.width / 2, b.height / 2);
  if (r <= 0) return `M${n(b.x)} ${n(b.y)}H${n(right(b))}V${n(bottom(b))}H${n(b.x)}Z`;
  return rounded(b, r, r);
}

export const ellipse = (b: Box): string => rounded(b, b.width / 2, b.height / 2);

/** A box whose corners are quarters of an ellipse. */
function rounded(b: Box, rx: number, ry: number): string {
  const [left, top, far, foot] = [b.x, b.y, right(b), bottom(b)];
  const [dx, dy] = [(1 - QUARTER) * rx, (1 - QUARTER) * ry];
  return [
    `M${n(left + rx)} ${n(top)}H${n(far - rx)}`,
    curve(far - dx, top, far, top + dy, far, top + ry),
    `V${n(foot - ry)}${curve(far, foot - dy, far - dx, foot, far - rx, foot)}`,
    `H${n(left + rx)}${curve(left + dx, foot, left, foot - dy, left, foot - ry)}`,
    `V${n(top + ry)}${curve(left, top + dy, left + dx, top, left + rx, top)}Z`,
  ].join("");
}
