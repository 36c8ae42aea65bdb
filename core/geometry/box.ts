import { z } from "zod";

/** A rectangle in pixels; which pixels (lead, output, picture) is said by the field that holds it. */
export const Box = z.object({
  x: z.number(),
  y: z.number(),
  width: z.number(),
  height: z.number(),
});
export type Box = z.infer<typeof Box>;

export interface Point {
  x: number;
  y: number;
}

/** Two edges closer than this many pixels count as the same edge. */
export const TOLERANCE = 0.5;

export const box = (x: number, y: number, width: number, height: number): Box => ({
  x,
  y,
  width,
  height,
});

/** The box between two corners; a corner on the wrong side gives an empty box, never a negative one. */
export const between = (left: number, top: number, right: number, bottom: number): Box =>
  box(left, top, Math.max(0, right - left), Math.max(0, bottom - top));

export const right = (b: Box): number => b.x + b.width;
export const bottom = (b: Box): number => b.y + b.height;
export const area = (b: Box): number => b.width * b.height;
export const centre = (b: Box): Point => ({ x: b.x + b.width / 2, y: b.y + b.height / 2 });

export const inset = (b: Box, by: number): Box =>
  between(b.x + by, b.y + by, right(b) - by, bottom(b) - by);

export const intersect = (a: Box, b: Box): Box =>
  between(
    Math.max(a.x, b.x),
    Math.max(a.y, b.y),
    Math.min(right(a), right(b)),
    Math.min(bottom(a), bottom(b)),
  );

export const overlaps = (a: Box, b: Box): boolean =>
  a.x < right(b) - TOLERANCE &&
  b.x < right(a) - TOLERANCE &&
  a.y < bottom(b) - TOLERANCE &&
  b.y < bottom(a) - TOLERANCE;

export const contains = (outer: Box, inner: Box): boolean =>
  inner.x >= outer.x - TOLERANCE &&
  inner.y >= outer.y - TOLERANCE &&
  right(inner) <= right(outer) + TOLERANCE &&
  bottom(inner) <= bottom(outer) + TOLERANCE;

export const scaleBox = (b: Box, by: number): Box =>
  box(b.x * by, b.y * by, b.width * by, b.height * by);

/** The upright box around `b` after turning it by `degrees` about `about`. */
export function turned(b: Box, degrees: number, about: Point = centre(b)): Box {
  if (degrees === 0) return b;
  const radians = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  const xs: number[] = [];
  const ys: number[] = [];
  for (const x of [b.x, right(b)]) {
    for (const y of [b.y, bottom(b)]) {
      xs.push(about.x + (x - about.x) * cos - (y - about.y) * sin);
      ys.push(about.y + (x - about.x) * sin + (y - about.y) * cos);
    }
  }
  return between(Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys));
}

/** The smallest box around some, of which there is one at least. */
export const hullOf = (boxes: readonly Box[]): Box =>
  between(
    Math.min(...boxes.map((b) => b.x)),
    Math.min(...boxes.map((b) => b.y)),
    Math.max(...boxes.map(right)),
    Math.max(...boxes.map(bottom)),
  );
