import { type Hex } from "../../colour";
import { bottom, right, type Box } from "../../geometry";
import type { TextNode } from "../../resolve";
import { isProse } from "../../text";
import { setAt, setToFit } from "../../type";
import {
  ends,
  keptGap,
  sideBySide,
  stack,
  textBlock,
  topAndBottom,
  type Block,
  platePad,
} from "./block";
import { linesOf, mostHeadline } from "./common";
import { GAP, groupGap, headGap } from "../structure/gaps";
import { itemsBlock } from "./items";
import { naturalWidth } from "./rows";
import { isAlone, type Item, type Parts } from "../structure/parts";
import { groupOf } from "../structure/dropping";
import type { Stage } from "../structure/stage";
import { ctaBlock, signAtMargins, signStacked, signAbreast, buttonPad } from "./signature";

/** Room for words, and which words. `size` is the running text's, `width` and `height` in output pixels. */
export interface WordRoom {
  stage: Stage;
  parts: Parts;
  width: number;
  height: number;
  size: number;
  /** 0 for a shared left edge, ½ for words that were composed about a middle. */
  align: number;
  /** What the words stand on, where it is not the ground of all. */
  ground?: Hex;
  /** What of the width the headline may take, where a crop cuts the rest off. */
  headWidth?: number;
  /** The headline may be as wide as this, over what stands beside the lines below it, down to this height. */
  headAcross?: { width: number; height: number };
  /** The headline may have uneven lines for the sake of its size. */
  bold?: boolean;
}

export const roomIn = (stage: Stage, parts: Parts, region: Box, size: number): WordRoom => ({
  stage,
  parts,
  size,
  width: right(region) - region.x,
  height: bottom(region) - region.y,
  align: stage.align === 0.5 ? 0.5 : 0,
});

export type WordLayout = (room: WordRoom) => Block | undefined;

/** A headline is at least this much larger than the text; where it can be, it is far larger. A sentence need not be. */
const leastJump = ({ tight }: Stage, { text }: TextNode): number =>
  isProse(text) ? 1.1 : tight ? 1.15 : 1.3;
const MOST_HEADLINE_LINES = 6;
/** What is read like text may be as long. */
const MOST_PROSE_LINES = 16;
/** What is left of the care for even lines where size is what counts. By eye. */
const BOLD = 0.4;

function mostLinesOf({ text, headlines, paragraph }: TextNode): number {
  if (isProse(text)) return MOST_PROSE_LINES;
  return headlines ? Math.min(MOST_HEADLINE_LINES, linesOf(paragraph)) : MOST_HEADLINE_LINES;
}

const headRoom = ({ width, height, headWidth, headAcross }: WordRoom) =>
  headAcross
    ? { width: headAcross.width, height: Math.min(height, headAcross.height) }
    : { width: Math.min(width, headWidth ?? width), height };

/** What stands over the headline, and the headline as large as the room allows. */
export function head(room: WordRoom): Block | undefined {
  const { stage, parts, size, align } = room;
  const { width, height } = headRoom(room);
  const { above, headline } = parts;
  const top = above.length > 0 ? itemsBlock(room, above, align) : undefined;
  if (above.length > 0 && !top) return undefined;
  const gap = top ? GAP.within * size : 0;
  if (!headline) return top;
  const set = setToFit(headline.paragraph, {
    width,
    height: height - (top?.height ?? 0) - gap,
    min: isAlone(parts) ? stage.floor : Math.max(stage.floor, leastJump(stage, headline) * size),
    max: Math.min(stage.frame.height, mostHeadline(stage)),
    mostLines: mostLinesOf(headline),
    pad: platePad(headline),
    ...(room.bold ? { care: BOLD } : {}),
  });
  if (!set) return undefined;
  const words = textBlock(headline, set);
  return top ? stack([top, words], [gap], align) : words;
}

/** The lines under the headline, one block; undefined when one cannot be set in the width. */
export const detailsBlock = (room: WordRoom, details: readonly Item[]): Block | undefined =>
  itemsBlock(room, details, room.align);

const gapsOf = (blocks: Block[], gap: number): number[] => blocks.slice(1).map(() => gap);

/** Everything on one left edge, one under the other; the signature last. */
export const stacked: WordLayout = (room) => {
  const foot = footStack(room);
  if (foot === false) return undefined;
  return underHead(room, room.parts.details, foot);
};

export function footStack(room: WordRoom): Block | undefined | false {
  const cta = ctaBlock(room);
  const sign = signAtMargins(room) ?? signStacked(room, room.align);
  if ((room.parts.cta && !cta) || !sign) return false;
  const blocks = [cta, sign.block].filter((block) => block !== undefined);
  return blocks.length > 0 ? stack(blocks, gapsOf(blocks, groupGap(room)), room.align) : undefined;
}

/** Head and lines above, and below them one row that reaches from margin to margin. */
export const footLine: WordLayout = (room) => {
  const { parts } = room;
  const foot = footRow(room);
  if (!foot) return undefined;
  return underHead(room, foot.usesLast ? withoutLast(parts.details) : parts.details, foot.block);
};

/** Call to action opposite the signature, or opposite the last line (a date, a place) when there is none. */
export function footRow(room: WordRoom): { block: Block; usesLast: boolean } | undefined {
  const cta = ctaBlock(room);
  if (room.parts.cta && !cta) return undefined;
  const sign = (cta ? signAbreast(room) : signAtMargins(room)) ?? undefined;
  if (!sign) return undefined;
  const gap = rowGap(room);
  if (sign.block && cta) return pressedAndSigned(cta, sign.block, room.width, gap);
  const last = closing(room);
  const right = cta ?? sign.block;
  if (!right) return undefined;
  if (room.parts.logo && room.parts.sender.length > 0 && !cta)
    return { block: right, usesLast: false };
  if (!last) return undefined;
  const set = setAt(last.paragraph, room.size, room.width - right.width - gap, 1);
  const block = set && ends(textBlock(last, set), right, room.width, gap);
  return block && { block, usesLast: true };
}

/** Between the two ends of a row, at the least. */
const rowGap = (room: WordRoom): number =>
  room.stage.tight ? GAP.within * room.size : groupGap(room);

/** A mark stands at the end of the row, anything longer begins it. */
function pressedAndSigned(cta: Block, sign: Block, width: number, gap: number) {
  const isMark = sign.width < 1.6 * sign.height;
  const block = isMark ? ends(cta, sign, width, gap) : ends(sign, cta, width, gap);
  return block && { block, usesLast: false };
}

const shortened = new WeakMap<readonly Item[], readonly Item[]>();

/** The same list for the same list, so that what was made of it is found again. */
export function withoutLast(details: readonly Item[]): readonly Item[] {
  let shorter = shortened.get(details);
  if (!shorter) shortened.set(details, (shorter = details.slice(0, -1)));
  return shorter;
}

/** The last line, when it is none of a list: a date, a place. Facts are parted only where room is scarce. */
function closing({ stage, parts: { details } }: WordRoom): TextNode | undefined {
  const [before, last] = [details.at(-2), details.at(-1)];
  const alike = before?.type === "text" && last?.type === "text" && before.role === last.role;
  const listed = alike && !(stage.tight && groupOf(last) === "facts");
  return last?.type === "text" && !listed ? last : undefined;
}

/** Head, lines and foot in one stack whose headline takes what the others leave. */
export function underHead(
  room: WordRoom,
  details: readonly Item[],
  foot: Block | undefined,
): Block | undefined {
  const lines = details.length > 0 ? detailsBlock(room, details) : undefined;
  if (details.length > 0 && !lines) return undefined;
  const below = [lines, foot].filter((block) => block !== undefined);
  const gaps = below.map((block, i) => keptGap(i === 0 ? headGap(room) : groupGap(room), block));
  const taken = sum(below.map((block) => block.height)) + sum(gaps);
  // Most drafts that do not fit are told from here, before a headline is set.
  if (taken >= room.height && room.parts.headline) return undefined;
  const top = head({ ...room, height: room.height - taken });
  if (!top)
    return room.parts.headline || taken > room.height
      ? undefined
      : stack(below, gaps.slice(1), room.align);
  return below.length > 0 ? stack([top, ...below], gaps, room.align) : top;
}

const sum = (values: number[]): number => values.reduce((a, b) => a + b, 0);

/** Headline in a wide column, the rest in a second one whose last line stands on the headline's last baseline. */
export const twoColumns: WordLayout = (room) => {
  const { width, size } = room;
  for (const column of [naturalColumn(room), 0.42 * width, 0.33 * width]) {
    if (column > MOST_SIDE_SHARE * width) continue;
    const side = sideColumn({ ...room, width: column });
    if (!side) continue;
    // Both stand on one baseline, so what hangs below it on the right needs room on the left too.
    const hanging = side.column.height - side.column.baseline;
    const gutter = keptGap(GAP.gutter * size, side.logo);
    const left = head({
      ...room,
      width: width - side.column.width - gutter,
      height: room.height - hanging,
    });
    if (!left) continue;
    const { column: lines, logo } = side;
    const above = logo ? logo.height + keptGap(groupGap(room), logo) : 0;
    const used = lines.height + above;
    // A column that is a little higher than the headline lets it start lower; a much higher one needs another place.
    const lowered = Math.max(0, used - left.baseline);
    if (used > LOWEST_HEAD * left.baseline || used + hanging > room.height) continue;
    if (lowered + left.height > room.height) continue;
    return sideBySide(left, side.column, width - side.column.width, used, side.logo);
  }
  return undefined;
};

const MOST_SIDE_SHARE = 0.48;
/** How far a headline may be lowered to stand on the baseline of the column beside it. */
const LOWEST_HEAD = 2.2;

/** As wide as its short lines need to stay on one line; longer ones may take two. */
export function naturalColumn({ stage, parts, size }: WordRoom): number {
  const button = parts.cta
    ? parts.cta.paragraph.naturalWidth(1) + 2.5 * buttonPad(stage, parts.cta)
    : 0;
  return (Math.max(button, naturalWidth(parts.details)) + 0.05) * size;
}

function sideColumn(room: WordRoom): { column: Block; logo: Block | undefined } | undefined {
  const { parts } = room;
  const lines = detailsBlock(room, parts.details);
  const cta = ctaBlock(room);
  const sign = signAbreast(room) ?? signStacked(room, 0);
  if (!lines || (parts.cta && !cta) || !sign) return undefined;
  const blocks = [parts.details.length > 0 ? lines : undefined, cta].filter((b) => b !== undefined);
  if (blocks.length === 0) return undefined;
  const column = stack(blocks, gapsOf(blocks, groupGap(room)));
  const width = Math.max(column.width, sign.block?.width ?? 0);
  return width <= room.width ? { column: { ...column, width }, logo: sign.block } : undefined;
}

/** Head and lines at the top of the height, the foot at its bottom: for a column beside a picture or none. */
export const apart: WordLayout = (room) => {
  const { parts } = room;
  const row = footRow(room);
  const foot = row?.block ?? footStack(room);
  if (!foot) return undefined;
  const gap = keptGap(groupGap(room), foot);
  const details = row?.usesLast ? withoutLast(parts.details) : parts.details;
  const top = underHead({ ...room, height: room.height - foot.height - gap }, details, undefined);
  return top && topAndBottom(top, foot, room.height, gap, room.align);
};

export const wordLayouts = {
  "two-columns": twoColumns,
  "foot-line": footLine,
  stack: stacked,
  "head-and-foot": apart,
} as const satisfies Record<string, WordLayout>;
