import { oklabStops, type Hex } from "../colour";
import { box, centre, intersect, type Box } from "../geometry";
import { containedIn, cropTo, seenInFrame, type View } from "../picture";
import { faceBox, logoInk } from "../refit";
import type {
  CodeNode,
  Corner,
  IconNode,
  LogoVersion,
  PictureNode,
  ResolvedGradient,
  ResolvedShadow,
  ShapeNode,
} from "../resolve";
import {
  codeIn,
  fitted,
  ICON_GRID,
  ICON_STROKE,
  isOpen,
  outlineOf,
  overflows,
  rectangle,
  waves,
} from "../shape";
import { common, type NodeMeasures } from "./measures";
import type { Paint, PathItem, Stroke, PictureItem, SceneItem, Shadow } from "./scene";

/** A shadow's lengths are lead pixels; `unit` makes output pixels of them. */
export const shadowOf = (shadow: ResolvedShadow, unit: number): Shadow => ({
  hex: shadow.hex,
  alpha: shadow.alpha,
  x: shadow.x * unit,
  y: shadow.y * unit,
  blur: shadow.blur * unit,
});

export function shapeItems(measures: NodeMeasures, node: ShapeNode): SceneItem[] {
  const { placed, unit, extent } = measures;
  if (node.emblem) return [artItem(measures, node.emblem, placed.box, node.colour)];
  const spec = { ...node.shape, corner: node.shape.corner * unit };
  const stroke = strokeOf(node, unit, placed.box, extent);
  return [
    {
      ...common(measures),
      kind: "path",
      d: outlineOf(spec, placed.box, extent),
      ...(isOpen(spec.kind) ? {} : { fill: fillOf(node, placed.box) }),
      ...(stroke ? { stroke } : {}),
      ...(overflows(spec.kind) ? { clip: placed.box } : {}),
      ...(node.shadow ? { shadow: shadowOf(node.shadow, unit) } : {}),
    },
  ];
}

const HAIRLINE = 4;

function strokeOf(node: ShapeNode, unit: number, b: Box, extent: number): Stroke | undefined {
  const { stroke, shape } = node;
  if (shape.kind === "waves") {
    const width = waves(b, extent).strokeWidth;
    return { hex: stroke?.hex ?? node.colour, width, dash: [], cap: "butt", join: "round" };
  }
  if (!stroke && !isOpen(shape.kind)) return undefined;
  const { hex = node.colour, width = HAIRLINE, dash = [], cap = "butt" } = stroke ?? {};
  return {
    hex,
    width: width * unit,
    dash: dash.map((length) => length * unit),
    cap,
    join: "miter",
  };
}

function fillOf({ colour, gradient }: ShapeNode, b: Box): Paint {
  return gradient ? gradientOver(gradient, b) : { kind: "flat", hex: colour };
}

/** A linear gradient reaches just to the corners that lie in its direction, as CSS Images 4 has it. */
export function gradientOver({ kind, angle, stops }: ResolvedGradient, b: Box): Paint {
  const middle = centre(b);
  const close = oklabStops(stops);
  if (kind === "radial") {
    return { kind, centre: middle, radius: Math.max(b.width, b.height) / 2, stops: close };
  }
  const radians = (angle * Math.PI) / 180;
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  const reach = (Math.abs(b.width * cos) + Math.abs(b.height * sin)) / 2;
  return {
    kind,
    from: { x: middle.x - reach * cos, y: middle.y - reach * sin },
    to: { x: middle.x + reach * cos, y: middle.y + reach * sin },
    stops: close,
  };
}

export function pictureItems(measures: NodeMeasures, node: PictureNode): SceneItem[] {
  const item = photoItem(measures, node);
  const { ground, box: whole } = measures.placed;
  const d = item.frame ?? rectangle(ground ? whole : item.box);
  const flat = (hex: Hex): PathItem => ({
    ...common(measures),
    kind: "path",
    d,
    fill: { kind: "flat", hex },
  });
  const { shadow } = node;
  return [
    ...(shadow ? [{ ...flat(shadow.hex), shadow: shadowOf(shadow, measures.unit) }] : []),
    ...(ground ? [flat(ground)] : []),
    item,
  ];
}

/** The face that stands before words, in its circle. */
export function faceItems(measures: NodeMeasures, face: PictureNode | undefined): SceneItem[] {
  const { text } = measures.placed;
  if (!face || !text) return [];
  const at = faceBox(text);
  const crop = cropTo(face.file, at, face.subject, face.framing);
  return pictureItems({ ...measures, placed: { node: face, box: at, crop, turn: 0 } }, face);
}

const UPRIGHT: Omit<View, "crop"> = { turn: 0, flipH: false, flipV: false };

/** What is inked of a drawing fills the box; in one colour where one is given. */
const artItem = (
  measures: NodeMeasures,
  { file, art }: Omit<LogoVersion, "logo">,
  at: Box,
  tint: Hex | undefined,
): PictureItem => ({
  ...common(measures),
  kind: "picture",
  file: file.id,
  box: at,
  view: { crop: art, ...UPRIGHT },
  adjust: tint ? { tint: { hex: tint, amount: 1 } } : {},
});

/** A logo's plate is rounded a little where the brand is. */
export function logoItems(measures: NodeMeasures, corner: Corner): SceneItem[] {
  const { placed } = measures;
  const { plate, tint } = placed.logo!;
  const item = artItem(measures, placed.logo!, logoInk(placed), tint);
  if (!plate) return [item];
  const { width, height } = placed.box;
  const radius = corner === "square" ? 0 : 0.14 * Math.min(width, height);
  const d = rectangle(placed.box, radius);
  return [{ ...common(measures), kind: "path", d, fill: { kind: "flat", hex: plate } }, item];
}

function photoItem(measures: NodeMeasures, node: PictureNode): PictureItem {
  const { placed, unit, extent } = measures;
  const { file, framing, frame } = node;
  const { turn, flipH, flipV } = framing;
  const whole = framing.fit === "contain";
  const all = box(0, 0, file.width, file.height);
  const shape = whole ? containedIn(file, placed.box) : placed.box;
  // Beyond the picture's edges its ground is seen.
  const at = placed.ground ? seenInFrame(placed.crop!, all, shape) : shape;
  const crop = whole ? all : intersect(placed.crop!, all);
  return {
    ...common(measures),
    kind: "picture",
    file: file.id,
    box: at,
    view: { crop, turn: whole ? 0 : turn, flipH, flipV },
    ...(frame
      ? { frame: outlineOf({ ...frame, corner: frame.corner * unit }, shape, extent) }
      : {}),
    adjust: node.adjust,
  };
}

export function iconItem(measures: NodeMeasures, node: IconNode): PathItem {
  const { box: b } = measures.placed;
  const side = Math.min(b.width, b.height);
  const at = box(b.x + (b.width - side) / 2, b.y + (b.height - side) / 2, side, side);
  const stroke: Stroke = {
    hex: node.colour,
    width: (ICON_STROKE * side) / ICON_GRID,
    dash: [],
    cap: "round",
    join: "round",
  };
  const grid = { width: ICON_GRID, height: ICON_GRID };
  return { ...common(measures), kind: "path", d: fitted(node.d, grid, at), stroke };
}

export function codeItems(measures: NodeMeasures, node: CodeNode): PathItem[] {
  const { d, box: at } = codeIn(node.code, measures.placed.box);
  const base = { ...common(measures), kind: "path" as const };
  return [
    { ...base, d: rectangle(at), fill: { kind: "flat", hex: node.ground } },
    { ...base, d, fill: { kind: "flat", hex: node.colour } },
  ];
}
