import { luminanceContrast } from "../colour";
import {
  area,
  bottom,
  box,
  contains,
  inset,
  intersect,
  overlaps,
  right,
  type Box,
} from "../geometry";
import { toneOf } from "../picture";
import { pinnedOver } from "./anchored/words";
import { placeBadge } from "./words/badge";
import type { Draft } from "./candidates/draft";
import { inPicture } from "./pictures/ground";
import type { Placed } from "./layout";
import { placeMedia } from "./pictures/media";
import type { Stage } from "./structure/stage";
import { seenBoxes } from "./pictures/subjects";
import { clearSpace, logoIn } from "./words/logo";

/** The ground under a logo on a picture: no busier than this (spread of grey values, 0..1). Our own measure. */
const CALM = 0.06;

/** Crops the pictures, sets logo and badge. Undefined when the draft's promise of a calm place does not hold. */
export function finish(stage: Stage, draft: Draft): Placed[] | undefined {
  const media = placeMedia(stage, draft);
  if (media.some(({ box: at }) => Math.min(at.width, at.height) < LEAST_PICTURE * stage.unit))
    return undefined;
  const pinned = pinnedOver(stage, media);
  if (!pinned || pinned.some(({ box: at }) => draft.words.some((item) => overlaps(item.box, at))))
    return undefined;
  const words = [...pinned, ...draft.words];
  if (draft.logoOnMedia) {
    const logo = logoOnPicture(stage, draft, media);
    const near = (item: Placed) => inset(item.box, -clearSpace(item));
    if (!logo || logo.some((item) => words.some(({ box: at }) => overlaps(at, near(item)))))
      return undefined;
    words.push(...logo);
  }
  const { badge, ornament } = draft.parts;
  const subjects = media.flatMap(seenBoxes);
  const band = ornament && media.find((item) => item.node === ornament)?.box;
  const placedBadge = badge ? (placeBadge(stage, badge, words, subjects, band) ?? []) : [];
  return [
    ...panel(stage, draft),
    ...emblem(draft),
    ...media,
    ...plate(draft),
    ...words,
    ...placedBadge,
  ];
}

const emblem = ({ parts, behind }: Draft): Placed[] =>
  parts.ornament && behind ? [{ node: parts.ornament, box: behind, turn: 0 }] : [];

/** A picture narrower than this, in sizes of the text, is a sliver. */
const LEAST_PICTURE = 2;

/** The plate that the words had over a picture becomes the ground of all that the picture leaves. */
function panel(stage: Stage, { parts, over, plate: own }: Draft): Placed[] {
  if (!parts.plate || over || own) return [];
  const shape = { ...parts.plate.shape, kind: "rectangle", corner: 0 } as const;
  return [{ node: { ...parts.plate, shape }, box: stage.frame, turn: 0 }];
}

const plate = ({ parts, plate: at }: Draft): Placed[] =>
  parts.plate && at ? [{ node: parts.plate, box: at, turn: 0 }] : [];

/** In the top corner of the safe area where the picture is calm and light or dark enough for a version. */
function logoOnPicture(stage: Stage, draft: Draft, media: Placed[]): Placed[] | undefined {
  const corners = stage.align === 1 ? (["right", "left"] as const) : (["left", "right"] as const);
  for (const corner of corners) {
    for (const item of media) {
      const spot = trySpot(stage, draft, item, corner);
      if (spot) return spot;
    }
  }
  return undefined;
}

function trySpot(
  stage: Stage,
  draft: Draft,
  item: Placed,
  corner: "left" | "right",
): Placed[] | undefined {
  const { node, crop } = item;
  if (node.type !== "picture" || !crop) return undefined;
  // Over a picture the words keep more than the margin, and the logo keeps their edge.
  const room = intersect(draft.over ? stage.field : stage.kept, item.box);
  if (area(room) === 0) return undefined;
  for (const guess of [1, 0]) {
    const sign = draft.parts.logo;
    const block = sign && logoIn(stage, sign, guess, { width: 0.5 * room.width });
    if (!block) return undefined;
    const x = corner === "left" ? room.x : right(room) - block.width;
    const spot = box(x, room.y, block.width, block.height);
    if (!contains(room, spot) || bottom(spot) > bottom(room) - 0.5 * stage.unit) return undefined;
    if (seenBoxes(item).some((part) => overlaps(part, spot))) return undefined;
    if (isCalm(item, spot, guess === 1)) return block.place(spot.x, spot.y);
  }
  return undefined;
}

/** Whether a picture is calm around a spot, and far enough from the ink of a logo that is made for light or dark grounds. */
function isCalm({ node, box: at, crop }: Placed, spot: Box, isLight: boolean): boolean {
  if (node.type !== "picture" || !crop) return false;
  const around = inset(spot, -0.3 * spot.height);
  const tone = toneOf(node.file, inPicture(around, at, crop), node.adjust);
  const [worst, ink] = isLight ? [tone.darkest, 0.02] : [tone.lightest, 0.85];
  return tone.busy <= CALM && luminanceContrast(worst, ink) >= 3;
}
