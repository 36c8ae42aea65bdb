import { luminance, type Hex } from "../colour";
import { box, contains, type Box } from "../geometry";
import { toneOf, type GroundTone } from "../picture";
import type { Placed } from "./layout";

/**
 * What is painted behind a box: the tones of the picture there, or one flat colour.
 * `behind` is back to front and ends before the thing that stands on the ground.
 */
export function groundBehind(target: Box, behind: Placed[], backdrop: Hex): GroundTone {
  const ground = behind.findLast((item) => isGround(item) && contains(item.box, target));
  if (ground?.node.type === "picture" && ground.crop) {
    return toneOf(ground.node.file, inPicture(target, ground.box, ground.crop), ground.node.adjust);
  }
  const flat = luminance(ground?.node.type === "shape" ? ground.node.colour : backdrop);
  return { darkest: flat, mean: flat, lightest: flat, busy: 0 };
}

const isGround = ({ node }: Placed): boolean =>
  node.type === "picture" || (node.type === "shape" && node.role !== "ornament");

/** A box of the frame in the pixels of the picture that fills `frame` with `crop`. */
export function inPicture(target: Box, frame: Box, crop: Box): Box {
  const scale = crop.width / frame.width;
  return box(
    crop.x + (target.x - frame.x) * scale,
    crop.y + (target.y - frame.y) * scale,
    target.width * scale,
    target.height * scale,
  );
}
