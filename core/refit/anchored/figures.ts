import {
  area,
  box,
  hullOf,
  inset,
  intersect,
  overlaps,
  right,
  bottom,
  type Box,
} from "../../geometry";
import type { ResolvedNode, ShapeNode, TextNode } from "../../resolve";
import { keepsRatio, outlineOf, shareInside } from "../../shape";
import { composedInk, placeIn } from "../words/in-box";
import type { Placed } from "../layout";
import { seenBoxes } from "../pictures/subjects";
import type { Stage } from "../structure/stage";
import { clearSpace } from "../words/logo";
import { anchorsOf, liesUnder, type Anchor, type Figure } from "./anchors";
import { keptIn, type Reference } from "./keep";

/** As large as composed, or somewhat smaller where there is no room for that. By eye. */
const SHARES = [1, 0.8, 0.64, 0.5];
/** Air beside words, in sizes of the text. */
const AIR = 0.4;
/** So much of a figure is seen at least, if it was seen whole. */
const LEAST_SEEN = 0.98;

/** The layout with the figures that keep to something of it, each where it would stand; what has no room is left out. */
export const withFigures = (stage: Stage, placed: Placed[]): Placed[] =>
  anchorsOf(stage.resolved).reduce((done, anchor) => withAnchor(stage, done, anchor), placed);

function withAnchor(stage: Stage, placed: Placed[], anchor: Anchor): Placed[] {
  const reference = referenceOf(stage, placed, anchor);
  if (!reference) return placed;
  const { figures, pin } = anchor;
  const own = hullOf(figures.map((figure) => figure.box));
  const stretches = figures.length === 1 && canStretch(figures[0]!);
  const places = SHARES.map((share) => {
    const scaled = { ...reference, scale: share * reference.scale };
    const at = keptIn(own, scaled, pin, stretches);
    return { at: anchor.to === undefined ? inSafeArea(stage, own, at) : at, scale: scaled.scale };
  });
  const isMeant = pin.h ?? pin.v ?? anchor.to;
  const free =
    places.find(({ at }) => isFree(stage, placed, anchor, own, at)) ??
    (isMeant === undefined ? elsewhere(stage, placed, anchor, own, places) : undefined);
  const place = free ?? (figures.some(({ always }) => always) ? places[0] : undefined);
  return place ? inOrder(stage, placed, figuresAt(stage, anchor, own, place, placed)) : placed;
}

/** A figure that nobody wants at one edge is tried all over the frame, in so many steps each way. */
const STEPS = 12;

interface Place {
  at: Box;
  scale: number;
}

/** The free place that is nearest to where a figure would stand, as large as can be. */
function elsewhere(
  stage: Stage,
  placed: Placed[],
  anchor: Anchor,
  own: Box,
  places: readonly Place[],
): Place | undefined {
  const { safe } = stage;
  for (const { at, scale } of places) {
    const spots = grid(safe, at).sort((a, b) => distance(a, at) - distance(b, at));
    const spot = spots.find((one) => isFree(stage, placed, anchor, own, one));
    if (spot) return { at: spot, scale };
  }
  return undefined;
}

function grid(safe: Box, { width, height }: Box): Box[] {
  const [x, y] = [safe.width - width, safe.height - height];
  if (x < 0 || y < 0) return [];
  return Array.from({ length: (STEPS + 1) ** 2 }, (_, at) =>
    box(
      safe.x + (x * (at % (STEPS + 1))) / STEPS,
      safe.y + (y * Math.floor(at / (STEPS + 1))) / STEPS,
      width,
      height,
    ),
  );
}

const distance = (a: Box, b: Box): number => Math.hypot(a.x - b.x, a.y - b.y);

/** Something round is not stretched, nor is anything but a shape. */
const canStretch = (figure: Figure): boolean =>
  figure.type === "shape" && !keepsRatio(figure.shape.kind);

/** The frame, or what it keeps with as that stands on this size; undefined where that is left out. */
function referenceOf(stage: Stage, placed: Placed[], { to }: Anchor): Reference | undefined {
  if (to === undefined) return { from: stage.lead, to: stage.frame, scale: stage.leadScale };
  const item = placed.find(({ node }) => node.id === to);
  if (!item) return undefined;
  const { node, text } = item;
  if (node.type === "text" && text) {
    const from = composedInk(node);
    const scale = text.set.size / (node.size ?? from.height / Math.max(1, text.set.lines.length));
    return { from, to: text.ink, scale };
  }
  return { from: node.box, to: item.box, scale: Math.sqrt(area(item.box) / area(node.box)) };
}

/** What keeps clear of an edge keeps clear of what the channel covers there. */
function inSafeArea({ lead, safe }: Stage, own: Box, at: Box): Box {
  const from = own.x > 1 ? safe.x : -Infinity;
  const top = own.y > 1 ? safe.y : -Infinity;
  const to = right(own) < right(lead) - 1 ? right(safe) : Infinity;
  const foot = bottom(own) < bottom(lead) - 1 ? bottom(safe) : Infinity;
  const x = Math.max(from, Math.min(at.x, to - at.width));
  const y = Math.max(top, Math.min(at.y, foot - at.height));
  return { ...at, x, y };
}

function isFree(stage: Stage, placed: Placed[], anchor: Anchor, own: Box, at: Box): boolean {
  const seen = area(intersect(at, stage.frame)) / area(at);
  const seenBefore = area(intersect(own, stage.lead)) / area(own);
  if (seen < LEAST_SEEN * seenBefore || at.width <= 0 || at.height <= 0) return false;
  if (liesUnder(anchor, stage.resolved.nodes)) return !goesThroughWords(stage, placed, anchor, at);
  const words = placed.filter(({ node, text, logo }) => (text ?? logo) && node.id !== anchor.to);
  const around = words.map((item) =>
    inset(item.box, -Math.max(AIR * stage.unit, clearSpace(item))),
  );
  const subjects = placed.filter(({ node }) => node.id !== anchor.to).flatMap(seenBoxes);
  return ![...around, ...subjects].some((other) => overlaps(other, at));
}

/** Less than this share of some words on one side of an edge is not seen. */
const HAIR = 0.03;

/**
 * Whether the edge of a shape that lies under words goes through some of them here, though it goes through none in the
 * composition.
 */
function goesThroughWords(
  { resolved }: Stage,
  placed: Placed[],
  { figures }: Anchor,
  at: Box,
): boolean {
  const [figure] = figures;
  if (figures.length > 1 || figure?.type !== "shape" || !isSolid(figure)) return false;
  const goesThrough = (shape: Box, words: Box): boolean => {
    const share = shareInside(outlineOf(figure.shape, shape, Math.sqrt(area(shape))), words);
    return share > HAIR && share < 1 - HAIR;
  };
  const isOn = (node: ResolvedNode): boolean => node.type === "text" && node.plate === undefined;
  const composed = resolved.nodes.filter(isOn) as TextNode[];
  if (composed.some((node) => goesThrough(figure.box, composedInk(node)))) return false;
  return placed.some(({ node, text }) => text && isOn(node) && goesThrough(at, text.ink));
}

/** It has one edge, and all of one colour inside. */
const isSolid = ({ shape: { kind } }: ShapeNode): boolean =>
  kind === "ellipse" || kind === "rectangle";

function figuresAt(
  stage: Stage,
  { figures }: Anchor,
  own: Box,
  { at, scale }: Place,
  placed: Placed[],
): Placed[] {
  const [byX, byY] = [at.width / own.width, at.height / own.height];
  return figures.flatMap((figure) => {
    const target = box(
      at.x + byX * (figure.box.x - own.x),
      at.y + byY * (figure.box.y - own.y),
      byX * figure.box.width,
      byY * figure.box.height,
    );
    return placeIn(stage, figure, target, scale, placed) ?? [];
  });
}

/** In front of what they are in front of in the composition. */
function inOrder({ resolved }: Stage, placed: Placed[], items: Placed[]): Placed[] {
  const order = new Map(resolved.nodes.map((node, index) => [node.id, index]));
  return items.reduce((done, item) => {
    const own = order.get(item.node.id)!;
    const below = done.findLastIndex(({ node }) => (order.get(node.id) ?? -1) < own);
    return done.toSpliced(below + 1, 0, item);
  }, placed);
}
