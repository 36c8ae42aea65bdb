import type { Box } from "../geometry";
import { ellipse, rectangle } from "./basic";
import {
  arch,
  arrow,
  blob,
  burst,
  diamond,
  leaf,
  line,
  pebble,
  polygon,
  speech,
  speechBody,
  star,
  ticket,
} from "./figures";
import { fitted } from "./path";
import { arcs, dots, rays, stripes } from "./patterns";
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
  rays: { points: 11, inner: 1 },
  arcs: { points: 4, inner: 1 },
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
  dots: (b, _spec, extent) => dots(b, extent),
  stripes: (b, _spec, extent) => stripes(b, extent),
  rays: (b, { points }) => rays(b, points),
  arcs: (b, { points }) => arcs(b, points),
  ticket,
  arch,
  emblem: pebble,
  path: (b, { path }) => (path ? fitted(path.d, path, b) : rectangle(b)),
};

/** The outline of a shape in its box, as SVG path data. `extent` is the frame's geometric mean. */
export const outlineOf = (spec: ShapeSpec, b: Box, extent: number): string =>
  drawn[spec.kind](b, spec, extent);

/** These are drawn beyond their box and clipped to it. */
const CUT: ReadonlySet<ShapeKind> = new Set(["waves", "stripes", "rays"]);
export const overflows = (kind: ShapeKind): boolean => CUT.has(kind);

/** These fill any box, at one scale. */
const PATTERNS: ReadonlySet<ShapeKind> = new Set(["waves", "dots", "stripes"]);
export const isPattern = (kind: ShapeKind): boolean => PATTERNS.has(kind);

/** These look wrong when they are stretched. */
const ROUND: ReadonlySet<ShapeKind> = new Set([
  "ellipse",
  "diamond",
  "polygon",
  "star",
  "burst",
  "leaf",
  "pebble",
  "blob",
  "arrow",
  "emblem",
]);
export const keepsRatio = (kind: ShapeKind): boolean => ROUND.has(kind);

/** The part of a shape's box that words may stand on: what a tail reaches beyond is not for them. */
export const bodyOf = ({ kind }: Pick<ShapeSpec, "kind">, b: Box): Box =>
  kind === "speech" ? speechBody(b) : b;
