import svgpath from "svgpath";
import type { Box, Point } from "../geometry";

/** Rounds to a hundredth of a pixel, the only place where a length is rounded. */
export const n = (value: number): string => String(Math.round(value * 100) / 100);

export const at = ({ x, y }: Point): string => `${n(x)} ${n(y)}`;

/** A closed outline through corners. */
export const outlineThrough = (corners: readonly Point[]): string =>
  `M${corners.map(at).join("L")}Z`;

/** A smooth closed outline through points, by Catmull and Rom's splines ("A class of local interpolating splines", 1974). */
export function smoothThrough(points: readonly Point[]): string {
  const count = points.length;
  const p = (index: number): Point => points[(index + count) % count]!;
  const curves = points.map((_, i) => {
    const [before, from, to, after] = [p(i - 1), p(i), p(i + 1), p(i + 2)];
    const first = { x: from.x + (to.x - before.x) / 6, y: from.y + (to.y - before.y) / 6 };
    const second = { x: to.x - (after.x - from.x) / 6, y: to.y - (after.y - from.y) / 6 };
    return `C${at(first)} ${at(second)} ${at(to)}`;
  });
  return `M${at(points[0]!)}${curves.join("")}Z`;
}

/** A point on an ellipse that fills the box; 0 is the top, a full turn is 1, clockwise. */
export function onEllipse(b: Box, turn: number, reach = 1): Point {
  const angle = 2 * Math.PI * (turn - 0.25);
  return {
    x: b.x + (b.width / 2) * (1 + reach * Math.cos(angle)),
    y: b.y + (b.height / 2) * (1 + reach * Math.sin(angle)),
  };
}

/** Path data drawn in a box of its own (from 0, 0) stretched to fill another. */
export const fitted = (d: string, from: { width: number; height: number }, to: Box): string =>
  svgpath(d)
    .scale(to.width / from.width, to.height / from.height)
    .translate(to.x, to.y)
    .round(2)
    .toString();

/** Glyph outlines have y upwards and font units; this puts one where it is painted. */
export const placedOutline = (outline: string, scale: number, x: number, y: number): string =>
  svgpath(outline).scale(scale, -scale).translate(x, y).round(2).toString();

/** As `placedOutline`, and then turned about a point. */
export const turnedOutline = (
  outline: string,
  scale: number,
  at: Point,
  degrees: number,
  about: Point,
): string =>
  svgpath(outline)
    .scale(scale, -scale)
    .translate(at.x, at.y)
    .rotate(degrees, about.x, about.y)
    .round(2)
    .toString();
