import { area, box, contains, intersect, type Box } from "../../geometry";
import { containedIn } from "../../picture";
import type { PictureNode } from "../../resolve";
import type { Placed } from "../layout";
import type { Stage } from "../structure/stage";
import { cuts, seenParts } from "./subjects";

/** A picture that stands whole in the area that it does not fill takes up so much of that at least. By eye. */
const LEAST_WHOLE = 0.3;

/**
 * The whole picture in an area: framed as its template frames it, or else in the corner of the frame that lies next, so
 * that it looks cut from a page and not stuck on it. Undefined where it would be too small for the area.
 */
export function wholeIn(stage: Stage, node: PictureNode, part: Box): Placed | undefined {
  const places = stage.parts.framed
    ? [onTheMargin(stage, node, part)]
    : [inCorner(stage, node, part), onTheMargin(stage, node, part)];
  const [first, second] = places.map((at) => shownWhole(node, at));
  const chosen = second && !isClear(stage, first!) ? second : first!;
  return area(chosen.box) < LEAST_WHOLE * area(part) ? undefined : chosen;
}

function shownWhole(node: PictureNode, at: Box): Placed {
  const { frame, ...plain } = node;
  const { width, height } = node.file;
  return {
    node: frame && cuts(frame) ? plain : node,
    box: at,
    crop: box(0, 0, width, height),
    turn: node.turn,
  };
}

/** Whether no face in it lies where the channel covers or crops. */
const isClear = ({ clear }: Stage, shown: Placed): boolean =>
  seenParts(shown).every(({ part, box: at }) => part.kind !== "face" || contains(clear, at));

/** Off the frame's edges, along the edge of the words. */
function onTheMargin(stage: Stage, { file }: PictureNode, part: Box): Box {
  const room = offTheEdges(stage, part);
  return along(room, containedIn(file, room), stage.align, 0.5);
}

function inCorner({ frame, align }: Stage, { file }: PictureNode, part: Box): Box {
  const x = cornerOf(part.x, part.width, frame.width, align);
  // What is as high as the frame stands on its foot.
  const y = cornerOf(part.y, part.height, frame.height, 1);
  return along(part, containedIn(file, part), x, y);
}

const along = (room: Box, inside: Box, x: number, y: number): Box => ({
  ...inside,
  x: room.x + x * (room.width - inside.width),
  y: room.y + y * (room.height - inside.height),
});

/** Where along an axis the frame's edge is that an area lies at: 0 at its start, 1 at its end; else as given. */
function cornerOf(start: number, length: number, side: number, usually: number): number {
  const [atStart, atEnd] = [start <= 1, start + length >= side - 1];
  if (atStart === atEnd) return usually;
  return atStart ? 0 : 1;
}

/** A crop that takes more than the rest of an area is the lesser evil: its picture is seen where it is not cropped. By eye. */
const LEAST_KEPT = 0.6;

/** The part of an area where the words could stand too, or what the margins leave of it. */
export function offTheEdges({ kept, safe }: Stage, part: Box): Box {
  const [inside, within] = [intersect(part, kept), intersect(part, safe)];
  return area(inside) >= LEAST_KEPT * area(within) ? inside : within;
}
