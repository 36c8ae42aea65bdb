import { luminanceContrast } from "../colour";
import { area, between, bottom, box, contains, intersect, right, type Box } from "../geometry";
import { cropTo, focusInFrame, toneOf } from "../picture";
import type { PictureNode } from "../resolve";
import { placeBadge } from "./badge";
import type { Draft } from "./draft";
import { inPicture } from "./ground";
import type { Placed } from "./layout";
import type { Stage } from "./stage";
import { logoOn } from "./words";

/** The ground under a logo on a picture: no busier than this (spread of grey values, 0..1). Our own measure. */
const CALM = 0.06;

/** Crops the pictures, sets logo and badge. Undefined when the draft's promise of a calm place does not hold. */
export function finish(stage: Stage, draft: Draft): Placed[] | undefined {
  const media = draft.media ? placeMedia(draft, draft.media) : [];
  const words = [...draft.words];
  if (draft.logoOnMedia) {
    const logo = logoOnPicture(stage, draft, media);
    if (!logo) return undefined;
    words.push(...logo);
  }
  const { badge, ornament } = draft.parts;
  const photo = media.find((item) => item.node.type === "picture");
  const focus = photo && photoFocus(photo);
  const band = ornament && media.find((item) => item.node === ornament)?.box;
  const placedBadge = badge ? (placeBadge(stage, badge, words, focus, band) ?? []) : [];
  return [...media, ...words, ...placedBadge];
}

function photoFocus(item: Placed): Box | undefined {
  if (item.node.type !== "picture" || !item.crop) return undefined;
  return focusInFrame(item.crop, item.node.focus, item.box);
}

/** One picture fills the media area; several share it along its longer side; else the ornament takes it. */
function placeMedia(draft: Draft, media: Box): Placed[] {
  const { photos, ornament } = draft.parts;
  if (photos.length === 0) {
    const also = draft.mediaAlso ? { also: draft.mediaAlso } : {};
    return ornament ? [{ node: ornament, box: media, turn: 0, ...also }] : [];
  }
  return shares(media, photos.length).map((part, index) => cropped(photos[index]!, part));
}

const cropped = (node: PictureNode, part: Box): Placed => ({
  node,
  box: part,
  crop: cropTo(node.file, part, node.focus, node.framing),
  turn: 0,
});

function shares(media: Box, count: number): Box[] {
  const wide = media.width >= media.height;
  return Array.from({ length: count }, (_, i) =>
    wide
      ? box(media.x + (media.width * i) / count, media.y, media.width / count, media.height)
      : box(media.x, media.y + (media.height * i) / count, media.width, media.height / count),
  );
}

/** In the top corner of the safe area where the picture is calm and light or dark enough for a version. */
function logoOnPicture(stage: Stage, draft: Draft, media: Placed[]): Placed[] | undefined {
  for (const corner of ["left", "right"] as const) {
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
  const room = intersect(stage.kept, item.box);
  if (area(room) === 0) return undefined;
  for (const guess of [1, 0]) {
    const block = logoOn(stage, draft.parts, guess, 0.5 * room.width);
    if (!block) return undefined;
    const x = corner === "left" ? room.x : right(room) - block.width;
    const spot = box(x, room.y, block.width, block.height);
    if (!contains(room, spot) || bottom(spot) > bottom(room) - 0.5 * stage.unit) return undefined;
    const around = between(
      spot.x - 0.3 * block.height,
      spot.y - 0.3 * block.height,
      right(spot) + 0.3 * block.height,
      bottom(spot) + 0.3 * block.height,
    );
    const tone = toneOf(node.file, inPicture(around, item.box, crop), node.adjust);
    const isLight = guess === 1;
    const worst = isLight ? tone.darkest : tone.lightest;
    const ink = isLight ? 0.02 : 0.85;
    if (tone.busy <= CALM && luminanceContrast(worst, ink) >= 3) return block.place(spot.x, spot.y);
  }
  return undefined;
}
