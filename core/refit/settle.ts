import { contrastNeeded, luminance, luminanceContrast, type Hex } from "../colour";
import { byHandIn, placeIn } from "./words/in-box";
import type { Palette } from "../brand";
import { wordContrast, type ResolvedNode, type TextNode } from "../resolve";
import { groundBehind, standsOnPicture, wordGround } from "./pictures/ground";
import type { Placed } from "./layout";
import type { Stage } from "./structure/stage";

/**
 * Words may stand on another ground than the one they were composed on; where their own colour cannot be read
 * there, they take the spread's colour that reads best. On a picture they are coloured for its scrim.
 */
export function onTheirGround(
  stage: Stage,
  placed: Placed[],
  which: (node: ResolvedNode) => boolean = () => true,
): Placed[] {
  const { palette } = stage.resolved;
  return placed.map((item, index) => {
    const { node } = item;
    if (node.type !== "text" || !which(node)) return item;
    const needed = contrastNeeded(item.text!.set.size * stage.css, node.weight);
    const behind = placed.slice(0, index);
    const { ink } = item.text!;
    if (node.plate) {
      const { mean } = wordGround(node, item.box, behind, palette.backdrop);
      return { ...item, node: readable(node, mean, needed, palette) };
    }
    const ground = standsOnPicture(ink, behind)
      ? luminance(stage.ground)
      : groundBehind(ink, behind, palette.backdrop).mean;
    return { ...item, node: readable(node, ground, needed, palette) };
  });
}

/** The text in its own colour where that reads on the ground, else in the colour of the spread that reads best. */
function readable(node: TextNode, ground: number, needed: number, palette: Palette): TextNode {
  const reads = (hex: Hex) => luminanceContrast(luminance(hex), ground);
  if (wordContrast(node, ground) >= needed) return node;
  const { headline, support, backdrop } = palette;
  const colour = [support, headline, palette["on-plate"], palette["on-action"], backdrop].reduce(
    (best, hex) => (reads(hex) > reads(best) ? hex : best),
  );
  return { ...node, colour };
}

/**
 * Puts each node that a local change has placed on this size exactly there, also what there was no room for. Words
 * keep the size that they were laid out at, as far as the box holds them.
 */
export function withLocalPlaces(stage: Stage, placed: Placed[]): Placed[] {
  const there = new Set(placed.map(({ node }) => node.id));
  const missing = stage.resolved.nodes.filter(({ id, place }) => place && !there.has(id));
  const done: Placed[] = [];
  for (const item of placed) done.push(inItsPlace(stage, item.node, item, done) ?? item);
  for (const node of missing) {
    const item = inItsPlace(stage, node, undefined, done);
    if (item) done.push(item);
  }
  return done;
}

function inItsPlace(
  stage: Stage,
  node: ResolvedNode,
  laidOut: Placed | undefined,
  behind: Placed[],
): Placed | undefined {
  const target = byHandIn(stage.frame, node);
  if (!target) return undefined;
  const composed = node.type === "text" && !node.sizedHere ? node.size : undefined;
  const size = laidOut?.text?.set.size;
  const scale = size && composed ? size / composed : stage.leadScale;
  return placeIn(stage, node, target, scale, behind);
}
