import svgpath from "svgpath";
import { area, box, centre, type Box, type Point } from "../geometry";
import { outlineOf, type ShapeSpec } from "./outline";

/** Straight pieces that a curve is taken for. */
const PIECES = 8;
/** The fields of the grid by which shares are found, each way. */
const GRID = 12;

/** The share of a box that lies inside an outline (closed path data, filled by the nonzero rule); 0..1, by a grid. */
export function shareInside(d: string, { x, y, width, height }: Box): number {
  const rings = ringsOf(d);
  let inside = 0;
  for (let i = 0; i < GRID; i++)
    for (let j = 0; j < GRID; j++) {
      const at = { x: x + ((i + 0.5) / GRID) * width, y: y + ((j + 0.5) / GRID) * height };
      if (isInside(rings, at)) inside++;
    }
  return inside / GRID ** 2;
}

/** About the middle of a shape's box, the largest box of its proportions that lies all but whole inside the shape; none in a slim one. */
export function innerBox(spec: ShapeSpec, b: Box): Box | undefined {
  const ratio = Math.round((100 * b.width) / b.height) / 100;
  const key = `${JSON.stringify(spec)} ${ratio}`;
  let share = innerShares.get(key);
  if (share === undefined) {
    if (innerShares.size >= MOST_KNOWN) innerShares.clear();
    innerShares.set(key, (share = innerShare(spec, b)));
  }
  if (share === 0) return undefined;
  const { x, y } = centre(b);
  const [width, height] = [share * b.width, share * b.height];
  return box(x - width / 2, y - height / 2, width, height);
}

/** Of frames of the same shape and proportions, which come again in every draft of a layout. */
const innerShares = new Map<string, number>();
const MOST_KNOWN = 2000;

function innerShare(spec: ShapeSpec, b: Box): number {
  const d = outlineOf(spec, b, Math.sqrt(area(b)));
  const { x, y } = centre(b);
  for (let share = 1; share > LEAST_INNER; share -= 0.05) {
    const [width, height] = [share * b.width, share * b.height];
    const inner = box(x - width / 2, y - height / 2, width, height);
    if (shareInside(d, inner) > ALL_BUT_WHOLE) return share;
  }
  return 0;
}

const LEAST_INNER = 0.4;
const ALL_BUT_WHOLE = 0.985;

function ringsOf(d: string): Point[][] {
  const rings: Point[][] = [];
  svgpath(d)
    .abs()
    .unshort()
    .unarc()
    .iterate(([command, ...values], _index, x, y) => {
      if (command === "M") rings.push([]);
      const ring = rings.at(-1);
      if (command === "H") ring?.push({ x: values[0] as number, y });
      else if (command === "V") ring?.push({ x, y: values[0] as number });
      else if (command !== "Z") ring?.push(...curve({ x, y }, pairs(values as number[])));
    });
  return rings;
}

const pairs = (values: readonly number[]): Point[] =>
  values.flatMap((value, i) => (i % 2 === 0 ? [{ x: value, y: values[i + 1]! }] : []));

/** Points along a line or a Bézier curve from `from` through its controls, by de Casteljau. */
function curve(from: Point, controls: readonly Point[]): Point[] {
  if (controls.length === 1) return [controls[0]!];
  return Array.from({ length: PIECES }, (_, i) => {
    const t = (i + 1) / PIECES;
    let points = [from, ...controls];
    while (points.length > 1)
      points = points.slice(1).map((b, k) => ({
        x: points[k]!.x + t * (b.x - points[k]!.x),
        y: points[k]!.y + t * (b.y - points[k]!.y),
      }));
    return points[0]!;
  });
}

/** By how often the rings wind about the point. */
function isInside(rings: readonly (readonly Point[])[], { x, y }: Point): boolean {
  let winding = 0;
  for (const ring of rings)
    for (let i = 0; i < ring.length; i++) {
      const [a, b] = [ring[i]!, ring[(i + 1) % ring.length]!];
      if (a.y <= y === b.y <= y) continue;
      const side = (b.x - a.x) * (y - a.y) - (x - a.x) * (b.y - a.y);
      if (side > 0 === a.y <= y) winding += a.y <= y ? 1 : -1;
    }
  return winding !== 0;
}
