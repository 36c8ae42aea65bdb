import type { Box } from "../geometry";
import { ellipse, rectangle } from "./basic";
import { arrow, blob, burst, diamond, leaf, line, pebble, polygon, speech, star } from "./figures";
import { fitted } from "./path";
import type { ShapeKind, ShapeStyle } from "./shape-style";
import { waveEdge, waves } from "./waves";

/** A shape with what it needs to be drawn; lengths in output pixels. */
export interface ShapeSpec {
  kind: ShapeKind;
  corner: number;
  points: number;
  inner: number;
  path?: ShapeStyle["path"];
}

/** How a shape is, when its style does not say. `inner` of a burst is the depth of its scallops. */
export const shapeDefaults = {
  polygon: { points: 6, inner: 1 },
  star: { points: 5, inner: 0.44 },
  burst: { points: 16, inner: 0.94 },
} as const;

/** These have no inside: they are stroked, with the shape's own colour when no stroke is given. */
export const isOpen = (kind: ShapeKind): boolean => kind === "line" || kind === "waves";

type Draw = (b: Box, spec: ShapeSpec, extent: number) => string;

const drawn: Record<ShapeKind, Draw> = {
  rectangle: (b, { corner }) => rectangle(b, corner),
  pill: (b) => rectangle(b, Math.min(b.width, b.height) / 2),
  ellipse,
  diamond,
  polygon: (b, { points }) => polygon(b, points),
  star: (b, { points, inner }) => star(b, points, inner),
  burst: (b, { points, inner }) => burst(b, points, inner),
  speech: (b, { corner }) => speech(b, corner),
  arrow,
  line,
  leaf,
  pebble,
  blob,
  "wave-edge": waveEdge,
  waves: (b, _spec, extent) => waves(b, extent).d,
  path: (b, { path }) => (path ? fitted(path.d, path, b) : rectangle(b)),
};

/** The outline of a shape in its box, as SVG path data. `extent` is the frame's geometric mean. */
export const outlineOf = (spec: ShapeSpec, b: Box, extent: number): string =>
  drawn[spec.kind](b, spec, extent);
