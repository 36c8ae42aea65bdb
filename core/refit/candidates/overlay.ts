import type { LayoutPlace } from "../../piece";
import { between, bottom, box, inset, right, type Box } from "../../geometry";
import { containedIn } from "../../picture";
import type { Block } from "../words/block";
import type { Draft } from "./draft";
import { boundsOf } from "../pictures/media";
import type { Parts } from "../structure/parts";
import type { Stage } from "../structure/stage";
import { roomIn, wordLayouts } from "../words/words";

/** The shares of the usable width that words over a picture may take, and of its height. */
const WIDTHS = [1, 0.66, 0.5, 0.4];
const MOST_HEIGHT = 0.62;
const LAYOUTS = ["stack", "foot-line", "two-columns"] as const;
/** A plate reaches beyond its words by so many sizes of the text. */
const PLATE_PADDING = 1.5;

/** The picture fills the frame and the words stand on it, in a corner, on a plate of their own if they had one. */
export function* overPhoto(stage: Stage, parts: Parts, size: number): Generator<Draft> {
  if (parts.photos.length !== 1 || !belongsOver(parts)) return;
  const pad = parts.plate ? PLATE_PADDING * size : 0;
  const region = inset(stage.field, pad);
  for (const onMedia of parts.logo && parts.logoOnMedia && !parts.plate ? [true, false] : [false]) {
    const { logo: _logo, ...bare } = parts;
    const words = onMedia ? bare : parts;
    for (const block of blocksIn(stage, words, region, size)) {
      for (const spot of spotsFor(block, region, stage.align)) {
        const placed = block.place(spot.x, spot.y);
        const taken = boundsOf(placed.map((item) => item.box)) ?? spot;
        yield {
          layoutId: {
            kind: parts.plate ? "plate-on-the-picture" : "on-the-picture",
            place: spot.name,
          },
          parts,
          words: placed,
          media: stage.frame,
          over: true,
          ...(parts.plate ? { plate: inset(taken, -pad) } : {}),
          logoOnMedia: onMedia,
          change: (onMedia === parts.logoOnMedia ? 0 : 0.5) + spot.change,
        };
      }
    }
  }
}

/** A picture without words whose subject no crop can hold stands whole, in the middle of what may be used. */
export function* pictureWhole(stage: Stage, parts: Parts): Generator<Draft> {
  const [photo, ...others] = parts.photos;
  if (!photo || others.length > 0 || parts.headline || parts.details.length > 0 || parts.cta)
    return;
  const { logo: _logo, ...bare } = parts;
  const media = containedIn(photo.file, stage.field);
  yield { layoutId: { kind: "whole-picture" }, parts: bare, words: [], media, change: 2 };
}

/** Words that were composed on the picture or on a plate over it; and a picture without words fills the frame. */
const belongsOver = ({ overPhoto, plate, headline, details }: Parts): boolean =>
  overPhoto || plate !== undefined || (!headline && details.length === 0);

function* blocksIn(stage: Stage, parts: Parts, region: Box, size: number): Generator<Block> {
  if (!parts.headline && parts.details.length === 0 && !parts.cta && !parts.logo) {
    yield { width: 0, height: 0, baseline: 0, place: () => [] };
    return;
  }
  for (const share of WIDTHS) {
    const height = (share > 0.6 ? MOST_HEIGHT : 1) * region.height;
    const room = between(region.x, region.y, region.x + share * region.width, region.y + height);
    for (const name of LAYOUTS) {
      if (name !== "stack" && share < 0.6) continue;
      const block = wordLayouts[name](roomIn(stage, parts, room, size));
      if (block) yield block;
    }
  }
}

interface Spot extends Box {
  name: LayoutPlace;
  change: number;
}

/** Below is where words over a picture are expected; then above; beside the subject where the frame is wide. */
function spotsFor({ width, height }: Block, region: Box, align: number): Spot[] {
  const left = region.x + (align === 0.5 ? 0.5 : 0) * (region.width - width);
  const far = right(region) - width;
  const low = bottom(region) - height;
  const at = (name: LayoutPlace, x: number, y: number, change: number): Spot => ({
    name,
    change,
    ...box(x, y, width, height),
  });
  const narrow = width < 0.7 * region.width;
  return [
    at("below", left, low, 0),
    at("above", left, region.y, 0.6),
    ...(narrow ? [at("below-right", far, low, 0.8), at("above-right", far, region.y, 1)] : []),
    ...(narrow ? [at("middle", left, region.y + (region.height - height) / 2, 0.8)] : []),
  ];
}
