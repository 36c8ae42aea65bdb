import { bottom, centre, right, type Box, type Point } from "../geometry";
import { at, n, onEllipse, outlineThrough, smoothThrough } from "./path";

export const diamond = (b: Box): string => polygon(b, 4);

/** A regular polygon, one corner at the top, stretched with its box. */
export const polygon = (b: Box, points: number): string =>
  outlineThrough(Array.from({ length: points }, (_, i) => onEllipse(b, i / points)));

/** A star whose inner corners lie `inner` (a share of the outer ones) from its middle. */
export function star(b: Box, points: number, inner: number): string {
  const corners = Array.from({ length: points * 2 }, (_, i) =>
    onEllipse(b, i / (points * 2), i % 2 === 0 ? 1 : inner),
  );
  return outlineThrough(corners);
}

/** A badge with a scalloped edge. */
export function burst(b: Box, points: number, inner: number): string {
  const scallops = Array.from({ length: points }, (_, i) => {
    const peak = onEllipse(b, (i + 0.5) / points, 2 - inner);
    return `Q${at(peak)} ${at(onEllipse(b, (i + 1) / points, inner))}`;
  });
  return `M${at(onEllipse(b, 0, inner))}${scallops.join("")}Z`;
}

/** How much of a speech shape's height is its tail. */
const TAIL = 0.18;

/** A speech shape without its tail. */
export const speechBody = (b: Box): Box => ({ ...b, height: (1 - TAIL) * b.height });

/** A speech shape: a rounded box with its tail at the lower left. */
export function speech(b: Box, radius: number): string {
  const floor = bottom(b) - TAIL * b.height;
  const r = Math.min(radius, b.width / 2, (floor - b.y) / 2);
  const arc = (x: number, y: number) => `A${n(r)} ${n(r)} 0 0 1 ${n(x)} ${n(y)}`;
  const [tailRight, tailLeft] = [b.x + r + 0.22 * b.width, b.x + r + 0.06 * b.width];
  return [
    `M${n(b.x + r)} ${n(b.y)}H${n(right(b) - r)}${arc(right(b), b.y + r)}`,
    `V${n(floor - r)}${arc(right(b) - r, floor)}H${n(tailRight)}`,
    `L${n(b.x + r)} ${n(bottom(b))}L${n(tailLeft)} ${n(floor)}`,
    `H${n(b.x + r)}${arc(b.x, floor - r)}V${n(b.y + r)}${arc(b.x + r, b.y)}Z`,
  ].join("");
}

/** An arrow to the right: its shaft is a share of the box's height, its head as long as the box is high. */
export function arrow(b: Box): string {
  const middle = centre(b).y;
  const shaft = 0.19 * b.height;
  const neck = right(b) - Math.min(0.86 * b.height, 0.6 * b.width);
  return outlineThrough([
    { x: b.x, y: middle - shaft },
    { x: neck, y: middle - shaft },
    { x: neck, y: b.y },
    { x: right(b), y: middle },
    { x: neck, y: bottom(b) },
    { x: neck, y: middle + shaft },
    { x: b.x, y: middle + shaft },
  ]);
}

/** A line along the middle of its box, to be stroked. */
export const line = (b: Box): string => {
  const upright = b.height > b.width;
  const { x, y } = centre(b);
  return upright ? `M${n(x)} ${n(b.y)}V${n(bottom(b))}` : `M${n(b.x)} ${n(y)}H${n(right(b))}`;
};

/** Two curves that meet in a point at either end. */
export function leaf(b: Box): string {
  const [r, low] = [right(b), bottom(b)];
  return [
    `M${n(b.x)} ${n(low)}C${n(b.x)} ${n(b.y + 0.42 * b.height)} ${n(b.x + 0.42 * b.width)} ${n(b.y)} ${n(r)} ${n(b.y)}`,
    `C${n(r)} ${n(b.y + 0.58 * b.height)} ${n(b.x + 0.58 * b.width)} ${n(low)} ${n(b.x)} ${n(low)}Z`,
  ].join("");
}

/** Distances from the middle of points round about, as shares of the box: drawn by hand. */
const PEBBLE = [0.98, 1, 0.96, 0.98, 1, 0.97, 0.95, 1];
const BLOB = [0.98, 0.74, 0.94, 1, 0.78, 0.86, 1, 0.82, 0.7, 0.92];

const organic =
  (reaches: number[]) =>
  (b: Box): string => {
    const points: Point[] = reaches.map((reach, i) => onEllipse(b, i / reaches.length, reach));
    return smoothThrough(points);
  };

export const pebble = organic(PEBBLE);
export const blob = organic(BLOB);

/** Of a ticket: its notches' radius in short sides, and how far along its long side they are. */
const NOTCH = { radius: 0.065, at: 0.74 } as const;

/** A ticket: a notch in either long side, where it would be torn. */
export function ticket(b: Box): string {
  const wide = b.width >= b.height;
  const r = n(NOTCH.radius * Math.min(b.width, b.height));
  const [from, to] = [-1, 1].map(
    (side) => NOTCH.at * Math.max(b.width, b.height) + side * Number(r),
  ) as [number, number];
  const [top, low, left, far] = [n(b.y), n(bottom(b)), n(b.x), n(right(b))];
  const notch = (x: string | number, y: string | number) => `A${r} ${r} 0 0 0 ${x} ${y}`;
  return wide
    ? `M${left} ${top}H${n(b.x + from)}${notch(n(b.x + to), top)}H${far}V${low}H${n(b.x + to)}${notch(n(b.x + from), low)}H${left}Z`
    : `M${left} ${top}H${far}V${n(b.y + from)}${notch(far, n(b.y + to))}V${low}H${left}V${n(b.y + to)}${notch(left, n(b.y + from))}Z`;
}

/** Half round at the top, as a window may be. */
export function arch(b: Box): string {
  const [rx, ry] = [b.width / 2, Math.min(b.width / 2, b.height)].map(n) as [string, string];
  const spring = n(b.y + Number(ry));
  return `M${n(b.x)} ${n(bottom(b))}V${spring}A${rx} ${ry} 0 0 1 ${n(right(b))} ${spring}V${n(bottom(b))}Z`;
}
