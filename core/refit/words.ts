import { logoFor } from "../brand";
import { luminance, type Hex } from "../colour";
import { bottom, right, type Box } from "../geometry";
import type { LogoVersion, TextNode } from "../resolve";
import { setAt, setToFit } from "../type";
import {
  buttonBlock,
  ends,
  logoBlock,
  sideBySide,
  stack,
  textBlock,
  topAndBottom,
  type Block,
  platePad,
} from "./block";
import { GAP, groupGap } from "./gaps";
import { itemsBlock, naturalWidth } from "./items";
import type { Item, Parts } from "./parts";
import type { Stage } from "./stage";

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

/** A headline is at least this much larger than the text; where it can be, it is far larger. */
const LEAST_JUMP = 1.3;
const MOST_HEADLINE_LINES = 6;

/** What stands over the headline, and the headline as large as the room allows. */
export function head(room: WordRoom): Block | undefined {
  const { stage, parts, width, height, size, align } = room;
  const { above, headline } = parts;
  const top = above.length > 0 ? itemsBlock(room, above, align) : undefined;
  if (above.length > 0 && !top) return undefined;
  const gap = top ? GAP.within * size : 0;
  if (!headline) return top;
  const set = setToFit(headline.paragraph, {
    width,
    height: height - (top?.height ?? 0) - gap,
    min: isAlone(parts) ? stage.floor : Math.max(stage.floor, LEAST_JUMP * size),
    max: stage.frame.height,
    mostLines: MOST_HEADLINE_LINES,
    pad: platePad(headline),
  });
  if (!set) return undefined;
  const words = textBlock(headline, set);
  return top ? stack([top, words], [gap], align) : words;
}

/** With nothing beside it that it must be larger than. */
const isAlone = ({ above, details, cta }: Parts): boolean =>
  above.length === 0 && details.length === 0 && !cta;

/** The lines under the headline, one block; undefined when one cannot be set in the width. */
export const detailsBlock = (room: WordRoom, details: readonly Item[]): Block | undefined =>
  itemsBlock(room, details, room.align);

const gapsOf = (blocks: Block[], gap: number): number[] => blocks.slice(1).map(() => gap);

export function ctaBlock({
  parts,
  width,
  size,
}: Pick<WordRoom, "parts" | "width" | "size">): Block | undefined {
  if (!parts.cta) return undefined;
  const padding = 2.5 * (parts.cta.plate?.padding ?? 0) * size;
  const set = setAt(parts.cta.paragraph, size, width - padding, 2);
  return set && buttonBlock(parts.cta, set);
}

/** The brand's logo on its plain ground: in full where it is wide enough to be read, else the mark. */
function panelLogo({
  stage,
  parts,
  width,
  ground = stage.ground,
}: Pick<WordRoom, "stage" | "parts" | "width" | "ground">): Block | undefined {
  if (!parts.logo) return undefined;
  return logoOn(stage, parts, luminance(ground), 0.6 * width);
}

export function logoOn(
  stage: Stage,
  parts: Parts,
  groundLuminance: number,
  mostWidth: number,
): Block | undefined {
  const node = parts.logo;
  if (!node) return undefined;
  const full = version(stage, parts, "full", groundLuminance);
  if (full) {
    const ratio = full.file.width / full.file.height;
    const wanted = FULL_HEIGHT * stage.extent;
    const height = Math.max(wanted, leastHeight(stage, full));
    if (height <= 1.4 * wanted && height * ratio <= mostWidth) return logoBlock(node, full, height);
  }
  const mark = version(stage, parts, "mark", groundLuminance);
  return (
    mark && logoBlock(node, mark, Math.max(MARK_HEIGHT * stage.extent, leastHeight(stage, mark)))
  );
}

/** How high a logo must be to have its least width on the viewer's screen. */
export const leastHeight = (stage: Stage, { logo, file }: LogoVersion): number =>
  (logo.leastWidth / stage.css / file.width) * file.height;

/** As shares of the frame's extent. Common practice: a logo is 5 to 8 % of the height of a tall size. */
const FULL_HEIGHT = 0.055;
const MARK_HEIGHT = 0.105;

export function version(
  stage: Stage,
  parts: Parts,
  kind: "full" | "mark",
  groundLuminance: number,
): LogoVersion | undefined {
  const wanted = logoFor(stage.resolved.brand, kind, groundLuminance);
  return parts.logo?.versions.find(({ logo }) => logo === wanted);
}

/** Everything on one left edge, one under the other; the logo last. */
const stacked: WordLayout = (room) => {
  const foot = footStack(room);
  if (foot === false) return undefined;
  return underHead(room, room.parts.details, foot);
};

export function footStack(room: WordRoom): Block | undefined | false {
  const cta = ctaBlock(room);
  const logo = panelLogo(room);
  if ((room.parts.cta && !cta) || (room.parts.logo && !logo)) return false;
  const blocks = [cta, logo].filter((block) => block !== undefined);
  return blocks.length > 0 ? stack(blocks, gapsOf(blocks, groupGap(room)), room.align) : undefined;
}

/** Head and lines above, and below them one row that reaches from margin to margin. */
const footLine: WordLayout = (room) => {
  const { parts } = room;
  const foot = footRow(room);
  if (!foot) return undefined;
  return underHead(room, foot.usesLast ? withoutLast(parts.details) : parts.details, foot.block);
};

/** Call to action opposite the logo, or opposite the last line (a date, a place) when the logo is elsewhere. */
export function footRow(room: WordRoom): { block: Block; usesLast: boolean } | undefined {
  const cta = ctaBlock(room);
  const logo = panelLogo(room);
  if ((room.parts.cta && !cta) || (room.parts.logo && !logo)) return undefined;
  const last = closing(room.parts.details);
  const gap = groupGap(room);
  if (logo && cta) {
    const isMark = logo.width < 1.6 * logo.height;
    const block = isMark ? ends(cta, logo, room.width, gap) : ends(logo, cta, room.width, gap);
    return block && { block, usesLast: false };
  }
  const right = cta ?? logo;
  if (!right || !last) return undefined;
  const set = setAt(last.paragraph, room.size, room.width - right.width - gap, 1);
  const block = set && ends(textBlock(last, set), right, room.width, gap);
  return block && { block, usesLast: true };
}

const shortened = new WeakMap<readonly Item[], readonly Item[]>();

/** The same list for the same list, so that what was made of it is found again. */
export function withoutLast(details: readonly Item[]): readonly Item[] {
  let shorter = shortened.get(details);
  if (!shorter) shortened.set(details, (shorter = details.slice(0, -1)));
  return shorter;
}

/** The last line, when it is none of a list: a date, a place. */
function closing(details: readonly Item[]): TextNode | undefined {
  const [before, last] = [details.at(-2), details.at(-1)];
  const listed = before?.type === "text" && last?.type === "text" && before.role === last.role;
  return last?.type === "text" && !listed ? last : undefined;
}

/** Head, lines and foot in one stack whose headline takes what the others leave. */
function underHead(
  room: WordRoom,
  details: readonly Item[],
  foot: Block | undefined,
): Block | undefined {
  const lines = details.length > 0 ? detailsBlock(room, details) : undefined;
  if (details.length > 0 && !lines) return undefined;
  const below = [lines, foot].filter((block) => block !== undefined);
  const gaps = below.map(() => groupGap(room));
  const taken = sum(below.map((block) => block.height)) + sum(gaps);
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
  const gutter = GAP.gutter * size;
  for (const column of [naturalColumn(room), 0.42 * width, 0.36 * width, 0.3 * width]) {
    if (column > MOST_SIDE_SHARE * width) continue;
    const side = sideColumn({ ...room, width: column });
    if (!side) continue;
    // Both stand on one baseline, so what hangs below it on the right needs room on the left too.
    const hanging = side.column.height - side.column.baseline;
    const left = head({
      ...room,
      width: width - side.column.width - gutter,
      height: room.height - hanging,
    });
    if (!left) continue;
    const used = side.column.height + (side.logo ? side.logo.height + groupGap(room) : 0);
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
function naturalColumn({ parts, size }: WordRoom): number {
  const button = parts.cta
    ? parts.cta.paragraph.naturalWidth(1) + 2.5 * (parts.cta.plate?.padding ?? 0)
    : 0;
  return (Math.max(button, naturalWidth(parts.details)) + 0.05) * size;
}

function sideColumn(room: WordRoom): { column: Block; logo: Block | undefined } | undefined {
  const { parts } = room;
  const lines = detailsBlock(room, parts.details);
  const cta = ctaBlock(room);
  const logo = panelLogo({ ...room, width: room.width / 0.6 });
  if (!lines || (parts.cta && !cta) || (parts.logo && !logo)) return undefined;
  const blocks = [parts.details.length > 0 ? lines : undefined, cta].filter((b) => b !== undefined);
  if (blocks.length === 0) return undefined;
  const column = stack(blocks, gapsOf(blocks, groupGap(room)));
  const width = Math.max(column.width, logo?.width ?? 0);
  return width <= room.width ? { column: { ...column, width }, logo } : undefined;
}

/** Head and lines at the top of the height, the foot at its bottom: for a column beside a picture or none. */
export const apart: WordLayout = (room) => {
  const { parts } = room;
  const row = footRow(room);
  const foot = row?.block ?? footStack(room);
  if (!foot) return undefined;
  const gap = groupGap(room);
  const details = row?.usesLast ? withoutLast(parts.details) : parts.details;
  const top = underHead({ ...room, height: room.height - foot.height - gap }, details, undefined);
  return top && topAndBottom(top, foot, room.height, gap);
};

export const wordLayouts = {
  "two columns": twoColumns,
  "foot line": footLine,
  stack: stacked,
  "head and foot": apart,
} as const satisfies Record<string, WordLayout>;
