import { turned, type Box } from "../geometry";
import type { Placed } from "../refit";
import type { Finding } from "./finding";

/** The rectangle that the node's paint really covers. */
export const inkOf = (item: Placed): Box => {
  const { node } = item;
  // Its plate reaches into the margin on purpose: the letters stand at one spot on all slides.
  if (node.strip === "running" && item.text) return item.text.ink;
  const round =
    node.type === "shape" && node.shape.kind === "ellipse" && item.box.width === item.box.height;
  if (round) return item.box;
  return turned(
    item.text && !(node.type === "text" && node.plate) ? item.text.ink : item.box,
    item.turn,
    item.about,
  );
};

/** Whom a finding is about. */
export const named = ({ node }: Placed): Pick<Finding, "node" | "role"> => ({
  node: node.id,
  role: node.role,
});
