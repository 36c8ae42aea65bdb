import { area, between, bottom, hullOf, intersect, right, tiles, type Box } from "../../geometry";
import { adjustedHex, cropBeside, cropBeyond, cropTo, isEven, isFirm } from "../../picture";
import type { PictureNode } from "../../resolve";
import { innerBox, isPattern } from "../../shape";
import { isEmblem, ornamentIn } from "../candidates/ornament";
import type { Draft } from "../candidates/draft";
import type { Placed } from "../layout";
import type { Stage } from "../structure/stage";
import { cuts, holdsSubject } from "./subjects";
import { offTheEdges, wholeIn } from "./whole";

/** The pictures of a draft in their area, or the ornament that fills it. Empty when the area is no use to a picture. */
export function placeMedia(stage: Stage, draft: Draft): Placed[] {
  const { photos, ornament, framed } = draft.parts;
  if (!draft.media) return [];
  if (photos.length === 0) {
    if (!ornament || isEmblem(ornament)) return [];
    const again = draft.mediaAlso && isPattern(ornament.shape.kind);
    const also = again ? { also: draft.mediaAlso! } : {};
    const at = ornamentIn(stage, ornament, draft.media);
    return [{ node: ornament, box: at, turn: ornament.turn, ...also }];
  }
  if (draft.over) return over(stage, draft, photos, draft.media);
  const media = framed ? offTheEdges(stage, draft.media) : draft.media;
  const gap = gapBetween(photos) * stage.leadScale;
  return tiles(media, photos.length, gap).map((part, i) => inArea(stage, photos[i]!, part));
}

/** One picture fills the area, its subject clear of the words; others would lie under them and stay out. */
function over(
  { clear }: Stage,
  { words, plate }: Draft,
  [photo]: PictureNode[],
  media: Box,
): Placed[] {
  const taken = plate ?? boundsOf(words.map((item) => item.box));
  return [besideWords(photo!, media, clear, taken)];
}

/** A picture in its frame, with its subject in what words on it leave free. */
export function besideWords(node: PictureNode, at: Box, clear: Box, taken?: Box): Placed {
  const seen = intersect(at, clear);
  const room = taken ? freeBeside(area(seen) > 0 ? seen : at, taken) : at;
  return { node, box: at, ...cropInto(node, at, room), turn: node.turn };
}

/** What a picture shows with its subject in a room of its frame; on flat ground it may go beyond its edges. */
function cropInto(node: PictureNode, at: Box, room: Box): Pick<Placed, "crop" | "ground"> {
  const { file, subject, framing, adjust } = node;
  if (file.ground && canGoOn(node) && area(room) > 0)
    return {
      crop: cropBeyond(file, at, subject, room),
      ground: adjustedHex(file.ground, adjust),
    };
  return {
    crop:
      area(room) > 0 && area(room) < area(at)
        ? cropBeside(file, at, subject, room, framing)
        : cropTo(file, at, subject, framing),
  };
}

/** Whether a picture can be gone on with by its flat ground, and nothing gives away where. */
const canGoOn = ({ adjust, framing, subject, opacity, blend }: PictureNode): boolean =>
  isAsUsual(framing) && isEven(adjust) && opacity === 1 && !blend && subject.parts.some(isFirm);

/** Nobody has moved, enlarged or turned it by hand. */
const isAsUsual = ({ zoom, panX, panY, turn, fit }: PictureNode["framing"]): boolean =>
  fit === "cover" && zoom === 1 && panX === 0 && panY === 0 && turn === 0;

/**
 * A picture in its frame: its subject clear of what the frame's shape cuts off, and faces clear of what the channel
 * covers or crops. A frame whose shape cannot hold the subject is a plain one.
 */
export function inFrame(node: PictureNode, at: Box, clear: Box): Placed {
  const shown = { node, box: at, ...cropIn(node, at, clear), turn: node.turn };
  const { frame, ...plain } = node;
  if (!frame || !cuts(frame) || !isAsUsual(node.framing) || holdsSubject(shown)) return shown;
  const bare = { ...shown, node: plain, ...cropIn(plain, at, clear) };
  return holdsSubject(bare) ? bare : shown;
}

function cropIn(node: PictureNode, at: Box, clear: Box): Pick<Placed, "crop" | "ground"> {
  const { file, subject, framing, frame } = node;
  if (Math.min(at.width, at.height) <= 0) return { crop: cropTo(file, at, subject, framing) };
  const inShape = (frame && cuts(frame) && innerBox(frame, at)) || at;
  const hasFace = subject.parts.some(({ kind }) => kind === "face");
  return cropInto(node, at, hasFace ? intersect(inShape, clear) : inShape);
}

/** As `inFrame`; a picture whose subject no crop of the area can hold stands whole in it. */
function inArea(stage: Stage, node: PictureNode, part: Box): Placed {
  const shown = inFrame(node, part, stage.clear);
  if (holdsSubject(shown) || !isAsUsual(node.framing)) return shown;
  return wholeIn(stage, node, part) ?? shown;
}

export const boundsOf = (boxes: readonly Box[]): Box | undefined =>
  boxes.length === 0 ? undefined : hullOf(boxes);

/** The largest part of the frame beside what is taken: above, below, left or right of it. */
export function freeBeside(frame: Box, taken: Box): Box {
  const sides = [
    between(frame.x, frame.y, right(frame), taken.y),
    between(frame.x, bottom(taken), right(frame), bottom(frame)),
    between(frame.x, frame.y, taken.x, bottom(frame)),
    between(right(taken), frame.y, right(frame), bottom(frame)),
  ];
  return sides.reduce((best, side) => (area(side) > area(best) ? side : best));
}

/** The least gap between neighbours at the lead size, in lead pixels; touching ones have none. */
function gapBetween(photos: readonly PictureNode[]): number {
  const gaps = photos.flatMap((a, i) =>
    photos
      .slice(i + 1)
      .map(({ box: b }) =>
        Math.max(
          a.box.x - right(b),
          b.x - right(a.box),
          a.box.y - bottom(b),
          b.y - bottom(a.box),
          0,
        ),
      ),
  );
  return Math.min(...gaps, MOST_GAP);
}

const MOST_GAP = 40;
