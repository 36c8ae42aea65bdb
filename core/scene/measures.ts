import { centre } from "../geometry";
import type { Placed } from "../refit";
import type { SceneItem } from "./scene";

/** What the items of one node share, and the lengths that its own are measured in. */
export interface NodeMeasures {
  placed: Placed;
  /** Output pixels for each lead pixel. */
  unit: number;
  /** Geometric mean of the frame's sides. */
  extent: number;
}

/** What every item of a node has. */
export function common({
  placed,
}: NodeMeasures): Pick<SceneItem, "node" | "opacity" | "turn" | "blend"> {
  const { node, turn, about, box } = placed;
  return {
    node: node.id,
    opacity: node.opacity,
    ...(node.blend ? { blend: node.blend } : {}),
    ...(turn === 0 ? {} : { turn: { degrees: turn, about: about ?? centre(box) } }),
  };
}
