import { bottom, right, type Box } from "../geometry";
import { n } from "./path";

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
