import { bottom, centre, right, type Box, type Point } from "../geometry";
import { n, outlineThrough } from "./path";

/** Lengths are shares of `extent`, the frame's geometric mean, so that neighbours and sizes match. By eye. */
const DOT = { radius: 0.0115, step: 0.052 } as const;
const STRIPE = { width: 0.028, step: 0.062 } as const;

/** Dots in rows, every other row moved by half a step; whole ones only, in the middle of the box. */
export function dots(b: Box, extent: number): string {
  const step = DOT.step * extent;
  const r = Math.min(DOT.radius * extent, b.width / 2, b.height / 2);
  const columns = Math.floor((b.width - 2 * r) / step);
  const rows = Math.floor((b.height - 2 * r) / (step / 2));
  const left = centre(b).x - (columns * step) / 2;
  const top = centre(b).y - (rows * step) / 4;
  let d = "";
  for (let row = 0; row <= rows; row++) {
    const moved = row % 2 === 1 ? 0.5 : 0;
    for (let column = 0; column + moved <= columns; column++)
      d += dot(left + (column + moved) * step, top + (row * step) / 2, r);
  }
  return d;
}

const dot = (x: number, y: number, r: number): string =>
  `M${n(x - r)} ${n(y)}A${n(r)} ${n(r)} 0 1 1 ${n(x + r)} ${n(y)}A${n(r)} ${n(r)} 0 1 1 ${n(x - r)} ${n(y)}Z`;

/** Stripes that rise to the right at 45°; they reach beyond the box and are clipped to it. */
export function stripes(b: Box, extent: number): string {
  const [width, step] = [STRIPE.width * extent, STRIPE.step * extent];
  let d = "";
  for (let from = b.x; from < right(b) + b.height; from += step) {
    const foot = bottom(b);
    const stripe = [
      { x: from - b.height, y: foot },
      { x: from, y: b.y },
      { x: from + width, y: b.y },
      { x: from + width - b.height, y: foot },
    ];
    d += outlineThrough(stripe);
  }
  return d;
}

/** Rays from the middle of the box's foot, clipped to the box; as many gaps as rays. */
export function rays(b: Box, points: number): string {
  const origin = { x: centre(b).x, y: bottom(b) };
  const far = b.width + b.height;
  const at = (turn: number): Point => ({
    x: origin.x - far * Math.cos(turn * Math.PI),
    y: origin.y - far * Math.sin(turn * Math.PI),
  });
  return Array.from({ length: points }, (_, i) => {
    const ray = [origin, at((i + 0.25) / points), at((i + 0.75) / points)];
    return outlineThrough(ray);
  }).join("");
}

/** Half rings on the box's foot, one inside the other, as large as the box allows. */
export function arcs(b: Box, points: number): string {
  const { x } = centre(b);
  const foot = bottom(b);
  const outermost = Math.min(b.width / 2, b.height);
  const width = outermost / (2 * points - 1);
  return Array.from({ length: points }, (_, i) => {
    const outer = outermost - 2 * i * width;
    const inner = Math.max(0, outer - width);
    const back =
      inner > 0
        ? `H${n(x + inner)}A${n(inner)} ${n(inner)} 0 0 0 ${n(x - inner)} ${n(foot)}Z`
        : "Z";
    return `M${n(x - outer)} ${n(foot)}A${n(outer)} ${n(outer)} 0 0 1 ${n(x + outer)} ${n(foot)}${back}`;
  }).join("");
}
