import { decoded, encoded, luminance, type Hex } from "../../colour";
import { box, contains, overlaps, type Box } from "../../geometry";
import type { TextNode } from "../../resolve";
import { bodyOf } from "../../shape";
import { toneOf, type GroundTone } from "../../picture";
import type { Placed } from "../layout";

/**
 * What is painted behind a box: the tones of the picture there, or one flat colour.
 * `behind` is back to front and ends before the thing that stands on the ground.
 */
export function groundBehind(target: Box, behind: Placed[], backdrop: Hex): GroundTone {
  const ground = groundOf(target, behind);
  if (ground?.node.type === "picture" && ground.crop) {
    const seen = inPicture(target, ground.box, ground.crop);
    const tone = toneOf(ground.node.file, seen, ground.node.adjust);
    const { scrim } = ground;
    return scrim && contains(scrim.solid, target) ? underScrim(tone, scrim.hex, scrim.alpha) : tone;
  }
  const flat = luminance(ground?.node.type === "shape" ? ground.node.colour : backdrop);
  const marks = behind
    .slice(ground ? behind.indexOf(ground) + 1 : 0)
    .filter((item) => isMarkUnder(item, target))
    .map(({ node }) => luminance(node.type === "shape" ? node.colour : backdrop));
  return {
    darkest: Math.min(flat, ...marks),
    mean: flat,
    lightest: Math.max(flat, ...marks),
    busy: 0,
  };
}

/** The brand's mark lies under words, so they must read on it too. */
const isMarkUnder = ({ node, box: at }: Placed, target: Box): boolean =>
  node.type === "shape" && node.shape.kind === "emblem" && overlaps(at, target);

const groundOf = (target: Box, behind: Placed[]): Placed | undefined =>
  behind.findLast((item) => isGround(item) && contains(covered(item), target));

const covered = ({ node, box: at }: Placed): Box =>
  node.type === "shape" ? bodyOf(node.shape, at) : at;

export const standsOnPicture = (target: Box, behind: Placed[]): boolean =>
  groundOf(target, behind)?.node.type === "picture";

const isGround = ({ node }: Placed): boolean =>
  node.type === "picture" || (node.type === "shape" && node.role !== "ornament");

/** A tone under a colour laid over it. Painters mix encoded values, so that is done here too. */
export function underScrim(tone: GroundTone, hex: Hex, alpha: number): GroundTone {
  const over = encoded(luminance(hex));
  const mixed = (value: number) => decoded((1 - alpha) * encoded(value) + alpha * over);
  const ends = [mixed(tone.darkest), mixed(tone.lightest)];
  return {
    darkest: Math.min(...ends),
    mean: mixed(tone.mean),
    lightest: Math.max(...ends),
    busy: (1 - alpha) * tone.busy,
  };
}

/** What words stand on: their plate, through which more or less of what is behind it shows, or that itself. */
export function wordGround(
  { plate }: Pick<TextNode, "plate">,
  target: Box,
  behind: Placed[],
  backdrop: Hex,
): GroundTone {
  if (!plate) return groundBehind(target, behind, backdrop);
  const { hex, alpha = 1 } = plate;
  const own = luminance(hex);
  if (alpha === 1) return { darkest: own, mean: own, lightest: own, busy: 0 };
  return underScrim(groundBehind(target, behind, backdrop), hex, alpha);
}

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
