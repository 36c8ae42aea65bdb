import { area, box, contains, intersect, type Box } from "../../geometry";
import { cropTo } from "../../picture";
import type { ResolvedNode } from "../../resolve";
import type { Placed } from "../layout";
import { freeBeside } from "../pictures/media";
import { placeIn } from "../words/in-box";
import type { Stage } from "../structure/stage";

/** What runs across the folds of a strip takes the room of the words where it leaves this share of it; else they stand on it. */
const ENOUGH = 0.24;

/** What this slide sees of what runs across folds: in shares of both sides of the frame, so that it meets at every fold. */
export const acrossItems = (stage: Stage): Placed[] =>
  stage.resolved.nodes.flatMap((node) => acrossItem(stage, node) ?? []);

/** Undefined for a node that does not run across folds. */
export function acrossItem(stage: Stage, node: ResolvedNode): Placed | undefined {
  if (node.strip !== "across") return undefined;
  const { frame, lead } = stage;
  const [x, y] = [frame.width / lead.width, frame.height / lead.height];
  const { box: own, turn } = node;
  const at = box(x * own.x, y * own.y, x * own.width, y * own.height);
  // Words are as large on every slide that has a part of them.
  if (node.type === "text") return placeIn(stage, node, at, Math.min(x, y), []);
  // The same part of the picture on every slide, whatever the words are there.
  const crop =
    node.type === "picture" ? cropTo(node.file, at, node.subject, node.framing) : undefined;
  return { node, box: at, turn, ...(crop ? { crop } : {}) };
}

/** Where words may stand beside what runs across folds. */
export function besideAcross(stage: Stage, kept: Box): Box {
  return acrossItems(stage).reduce((room, { box: at }) => {
    const taken = intersect(at, stage.frame);
    if (area(intersect(taken, room)) === 0 || contains(taken, room)) return room;
    const free = freeBeside(room, taken);
    const air = Math.min(stage.padding, 0.2 * free.height);
    const below = free.y > room.y;
    const clear =
      free.width < room.width
        ? free
        : { ...free, y: below ? free.y + air : free.y, height: free.height - air };
    return area(clear) >= ENOUGH * area(room) ? clear : room;
  }, kept);
}
