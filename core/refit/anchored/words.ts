import { area, between, bottom, contains, inset, overlaps, right, type Box } from "../../geometry";
import { luminance } from "../../colour";
import type { TextNode } from "../../resolve";
import { placeIn } from "../words/in-box";
import { setAt } from "../../type";
import type { Placed } from "../layout";
import { groupGap } from "../structure/gaps";
import type { PinnedPlaces, Stage } from "../structure/stage";
import { buttonBlock, platePad, textBlock, type Block } from "../words/block";
import { logoIn } from "../words/logo";
import { besideFace, withFace } from "../words/portrait";
import { acrossItems, besideAcross } from "./across";
import { pinnedWords, runningWords, type PinnedWords } from "./anchors";

/** What pinned words may take of the room for all words, and of its width. By eye. */
const MOST_TAKEN = 0.45;
const MOST_WIDTH = 0.6;
const MOST_LINES = 4;

/**
 * Words that stay at an edge, each in its corner of the room, with the room that is left; undefined where nothing is
 * pinned or there is no room for it. What runs through all slides comes first, so that it stands alike on each.
 */
export function placePinned(
  stage: Stage,
  which: "all" | "running" = "all",
): PinnedPlaces | undefined {
  const running = runningWords(stage.resolved);
  const others = which === "all" ? pinnedWords(stage.resolved).filter(isOwn) : [];
  const words = [...running, ...others];
  const isStrip = stage.resolved.nodes.some(({ strip }) => strip === "across");
  if ((words.length === 0 && !isStrip) || stage.isSmall) return undefined;
  const { placed, kept: rest } = placeRunning(stage);
  let kept = isStrip ? besideAcross(stage, rest) : rest;
  for (const node of others) {
    const block = blockOf(stage, node, kept);
    const left = block && withoutRoomOf(stage, node, block, kept);
    if (!left) return undefined;
    placed.push(...block.place(left.x, left.y));
    kept = left.kept;
  }
  return area(kept) < (1 - MOST_TAKEN) * area(rest) && others.length > 0
    ? undefined
    : { placed, kept };
}

const isOwn = ({ strip }: PinnedWords): boolean => strip === undefined;

/** Of a plate under running words, in em. By eye. */
const PLATE = { padding: 0.4, corner: 0.25 };

/**
 * Running words on a picture that runs across folds, or on the edge of a drawing, have a plate of the ground's colour, so that
 * nothing of the picture is darkened on one slide alone and no line goes through words; the letters stand where they stand on
 * all slides.
 */
function onItsPlate(stage: Stage, item: Placed): Placed {
  const { node, text } = item;
  const isOn = acrossItems(stage).some(
    ({ node: { type }, box: at }) =>
      overlaps(at, item.box) && (type === "picture" || !contains(at, item.box)),
  );
  if (!isOn || node.type !== "text" || !text) return item;
  const plate = { ...PLATE, hex: stage.resolved.palette.backdrop, per: "block" } as const;
  return {
    ...item,
    node: { ...node, plate },
    box: inset(item.box, -PLATE.padding * text.set.size),
  };
}

/** What runs through all slides, each in its corner of the room that all slides have; and the room beneath and above. */
export function placeRunning(stage: Stage): PinnedPlaces & { placed: Placed[] } {
  const placed: Placed[] = [];
  let { kept } = stage;
  let [top, foot] = [kept.y, bottom(kept)];
  const gap = groupGap({ stage, size: stage.unit });
  for (const node of runningWords(stage.resolved)) {
    const block = blockOf(stage, node, kept);
    const at = block && withoutRoomOf(stage, node, block, kept);
    if (!block || !at) continue;
    placed.push(...block.place(at.x, at.y).map((item) => onItsPlate(stage, item)));
    if (node.pin?.v === "top") top = Math.max(top, at.y + block.height + gap);
    else foot = Math.min(foot, at.y - gap);
  }
  kept = { ...kept, y: top, height: Math.max(0, foot - top) };
  return { placed, kept };
}

/** As large as composed, if need be on more lines, and never under the legibility floor. */
function blockOf(stage: Stage, node: PinnedWords, kept: Box): Block | undefined {
  const widest = node.pin?.h === "centre" || node.pin?.h === undefined ? 1 : MOST_WIDTH;
  const width = widest * kept.width;
  if (node.type === "logo") return logoIn(stage, node, luminance(stage.ground), { width });
  const size = Math.max(stage.floor, (node.size ?? stage.unit / stage.leadScale) * stage.leadScale);
  for (const share of [1, 0.8, 0.64]) {
    const own = Math.max(stage.floor, share * size);
    const block = textIn(node, own, width);
    if (block) return block;
  }
  return undefined;
}

/** Words at a size within a width, on a few lines at most. */
function textIn(node: TextNode, size: number, width: number): Block | undefined {
  const pad = platePad(node);
  const room = width - (2.5 * pad + besideFace(node)) * size;
  const set = setAt(node.paragraph, size, room, MOST_LINES);
  if (!set) return undefined;
  const words = node.plate?.per === "block" ? buttonBlock(node, set, pad) : textBlock(node, set);
  return withFace(node, words, size);
}

/** A block at its edge or corner; the rest keeps to the side of it where it loses the least. */
function withoutRoomOf(
  stage: Stage,
  { pin }: PinnedWords,
  block: Block,
  kept: Box,
): { x: number; y: number; kept: Box } | undefined {
  const { h, v } = { h: pin?.h ?? "left", v: pin?.v ?? "middle" };
  const x = kept.x + { left: 0, centre: 0.5, right: 1 }[h] * (kept.width - block.width);
  const y = kept.y + { top: 0, middle: 0.5, bottom: 1 }[v] * (kept.height - block.height);
  const gap = Math.max(groupGap({ stage, size: stage.unit }), block.clear ?? 0);
  const { x: left, y: top } = kept;
  const sides: Partial<Record<string, Box>> = {
    top: between(left, y + block.height + gap, right(kept), bottom(kept)),
    bottom: between(left, top, right(kept), y - gap),
    left: between(x + block.width + gap, top, right(kept), bottom(kept)),
    right: between(left, top, x - gap, bottom(kept)),
  };
  const [best] = [sides[v], sides[h]]
    .filter((side) => side !== undefined)
    .sort((a, b) => area(b) - area(a));
  return best && area(best) > 0 ? { x, y, kept: best } : undefined;
}

/**
 * Pinned words as they stand with a layout's pictures: on one or beside it, but never across its edge; a logo so that it is
 * seen on what is behind it. Undefined where that cannot be.
 */
export function pinnedOver(stage: Stage, media: readonly Placed[]): Placed[] | undefined {
  const placed = stage.pinned.map((item) => {
    const { node } = item;
    const picture = media.find(({ box: at }) => overlaps(at, item.box) && !contains(at, item.box));
    if (node.type === "logo" && !picture)
      return placeIn(stage, node, item.box, stage.leadScale, [...media]) ?? item;
    if (!picture) return item;
    return node.type === "text" ? onOneSide(stage, node, item, picture.box) : undefined;
  });
  return placed.every((item) => item !== undefined) ? placed : undefined;
}

/** Words on more lines, in the part of their room that lies on the same side of a picture's edge as their own. */
function onOneSide(stage: Stage, node: TextNode, item: Placed, at: Box): Placed | undefined {
  const { pin } = node;
  const { box: own } = item;
  const [left, end] = [own.x, right(own)];
  const isAcross = own.y >= at.y && bottom(own) <= bottom(at);
  if (!isAcross || !pin?.h || pin.h === "centre") return undefined;
  const edge = left < at.x ? at.x : right(at);
  const isRight = pin.h === "right";
  const width = (isRight ? end - edge : edge - left) - stage.padding;
  const block = width > 0 ? textIn(node, item.text!.set.size, width) : undefined;
  if (!block) return undefined;
  const x = isRight ? end - block.width : left;
  const y =
    own.y + { top: 0, middle: 0.5, bottom: 1 }[pin.v ?? "middle"] * (own.height - block.height);
  return block.place(x, y)[0];
}
