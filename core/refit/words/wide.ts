import { keptGap, stack, type Block } from "./block";
import { GAP, groupGap } from "../structure/gaps";
import type { Item, Parts } from "../structure/parts";
import { detailsBlock, footRow, footStack, head, naturalColumn, type WordLayout } from "./words";

/** Head over signature and call to action on the left, everything else beside them: for wide frames. */
const besideHead: WordLayout = (room) => {
  const { parts, width, height } = room;
  if (parts.details.length === 0) return undefined;
  for (const column of [naturalColumn(room), 0.44 * width]) {
    if (column > MOST_BESIDE * width) continue;
    const lines = detailsBlock({ ...room, width: column }, parts.details);
    if (!lines || lines.height > height) continue;
    const gutter = GAP.gutter * room.size;
    const left = { ...room, parts: withoutDetails(parts), width: width - lines.width - gutter };
    const foot = footRow(left)?.block ?? footStack(left);
    if (foot === false) continue;
    const gap = foot ? keptGap(groupGap(room), foot) : 0;
    const top = head({ ...left, height: height - (foot?.height ?? 0) - gap });
    if (!top) continue;
    const whole = foot ? stack([top, foot], [gap]) : top;
    return level(whole, lines, width - lines.width);
  }
  return undefined;
};

const MOST_BESIDE = 0.56;

/** The head, the lines, and what is pressed and signs, in three columns: for strips that are high enough for lines. */
const threeColumns: WordLayout = (room) => {
  const { parts, width, height } = room;
  const foot = footStack({ ...room, width: MOST_FOOT * width });
  if (!foot || parts.details.length === 0 || foot.height > height) return undefined;
  const gutter = keptGap(GAP.gutter * room.size, foot);
  const rest = width - foot.width - gutter;
  for (const column of [
    naturalColumn({ ...room, parts: withoutFoot(parts) }),
    0.44 * rest,
    0.34 * rest,
  ]) {
    if (column > MOST_BESIDE * rest) continue;
    const lines = detailsBlock({ ...room, width: column }, parts.details);
    if (!lines || lines.height > height) continue;
    const top = head({ ...room, width: rest - lines.width - gutter });
    if (!top) continue;
    const words = level(top, lines, rest - lines.width);
    return level(words, foot, width - foot.width);
  }
  return undefined;
};

const MOST_FOOT = 0.3;

/** Side by side, the second at `at`, about one centre line. */
function level(left: Block, right: Block, at: number): Block {
  const height = Math.max(left.height, right.height);
  return {
    width: at + right.width,
    height,
    baseline: height,
    place: (x, y) => [
      ...left.place(x, y + (height - left.height) / 2),
      ...right.place(x + at, y + (height - right.height) / 2),
    ],
  };
}

const withoutDetails = (parts: Parts): Parts => ({ ...parts, details: NO_ITEMS });
const NO_ITEMS: Item[] = [];

function withoutFoot({ cta: _cta, logo: _logo, ...rest }: Parts): Parts {
  return { ...rest, sender: [] };
}

/** In several columns, for frames that are much wider than high. */
export const wideLayouts = {
  "beside-the-headline": besideHead,
  "three columns": threeColumns,
} as const satisfies Record<string, WordLayout>;
