import { CONTRAST_TEXT, contrast } from "../colour";
import { placeIn } from "./arranged";
import type { Placed } from "./layout";
import type { Stage } from "./stage";

/**
 * Words that were composed on a plate or picture may stand on the plain ground now; where their own
 * colour cannot be read there, they take the spread's colour for text.
 */
export function onPlainGround(stage: Stage, placed: Placed[]): Placed[] {
  const { backdrop, support } = stage.resolved.palette;
  const inside = new Set(placed.map((item) => item.node.id));
  return placed.map((item) => {
    const { node } = item;
    if (node.type !== "text" || node.plate) return item;
    const onPlate = node.on !== undefined && inside.has(node.on);
    if (onPlate || contrast(node.colour, backdrop) >= CONTRAST_TEXT) return item;
    return { ...item, node: { ...node, colour: support } };
  });
}

/** Puts each node that a local change has placed on this size exactly there. */
export function withLocalPlaces(stage: Stage, placed: Placed[]): Placed[] {
  const scale = stage.frame.width / stage.lead.width;
  const done: Placed[] = [];
  for (const item of placed) {
    const { fixed } = item.node;
    done.push((fixed && placeIn(stage, item.node, fixed, scale, done)) ?? item);
  }
  return done;
}
