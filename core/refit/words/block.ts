import { box, TOLERANCE } from "../../geometry";
import type { TextNode } from "../../resolve";
import { bendOf, lastBaseline, type SetText } from "../../type";
import type { Placed } from "../layout";

/** Something of a known size that can be put anywhere. Blocks are combined into larger blocks. */
export interface Block {
  width: number;
  height: number;
  /** The line on which it stands, below its top; its bottom when it has no words. */
  baseline: number;
  /** The room that it must keep round itself, as a logo does. */
  clear?: number;
  /** Of lines of text: their size, and the first baseline below the top. */
  lines?: { size: number; first: number };
  place(x: number, y: number): Placed[];
}

/** What a plate reaches beyond its words, in em. */
export const platePad = ({ plate }: TextNode): number => plate?.padding ?? 0;

export function textBlock(node: TextNode, set: SetText): Block {
  const bent = bentBlock(node, set);
  if (bent && bent.width <= set.measure + TOLERANCE) return bent;
  const pad = platePad(node) * set.size;
  const [width, height] = [set.width + 2 * pad, set.height + 2 * pad];
  return {
    width,
    height,
    baseline: lastBaseline(set) + pad,
    ...(pad === 0 ? { lines: { size: set.size, first: set.ascent } } : {}),
    place: (x, y) => {
      const ink = box(x + pad, y + pad, set.width, set.height);
      return [{ node, box: box(x, y, width, height), text: { set, ink }, turn: 0 }];
    },
  };
}

/** One line along a circle, as wide and high as that is; undefined for words that are not to be bent, or take several lines. */
export function bentBlock(node: TextNode, set: SetText): Block | undefined {
  if (!node.arc || node.plate || set.lines.length > 1) return undefined;
  const { size, ascent } = set;
  const descent = set.height - set.ascent;
  const { width, height, centre, radius, inside } = bendOf(
    { width: set.width, ascent, descent },
    node.arc,
  );
  return {
    width,
    height,
    baseline: height,
    lines: { size, first: ascent },
    place: (x, y) => {
      const ink = box(x, y, width, height);
      const about = { x: x + centre.x, y: y + centre.y };
      const bent = { about, radius, inside };
      return [{ node, box: ink, text: { set, ink, bent }, turn: node.turn }];
    },
  };
}

/** Words on a plate: padded by the same measure (em) above and below the capitals, a little more at the sides. */
export function buttonBlock(node: TextNode, set: SetText, pad: number): Block {
  const padding = pad * set.size;
  const capHeight = node.paragraph.style.chain[0]!.capHeight * set.size;
  const lines = set.height - set.ascent - set.descent;
  const width = set.width + 2.5 * padding;
  const height = capHeight + lines + 2 * padding;
  return {
    width,
    height,
    baseline: height,
    place: (x, y) => {
      const top = y + padding + capHeight - set.ascent;
      const ink = box(x + 1.25 * padding, top, set.width, set.height);
      return [{ node, box: box(x, y, width, height), text: { set, ink }, turn: 0 }];
    },
  };
}

/**
 * One under the other on a shared left edge, or about a shared middle with `align` ½; `gaps[i]` stands between
 * block i and the next.
 */
export function stack(blocks: Block[], gaps: number[], align = 0): Block {
  const tops: number[] = [];
  let height = 0;
  blocks.forEach((block, index) => {
    tops.push(height);
    const next = blocks[index + 1];
    height += block.height + (next ? clearGap(block, next, gaps[index]!) : 0);
  });
  const last = blocks.at(-1);
  const width = Math.max(0, ...blocks.map((block) => block.width));
  return {
    width,
    height,
    baseline: last ? tops.at(-1)! + last.baseline : 0,
    ...clearOf(blocks),
    place: (x, y) =>
      blocks.flatMap((block, index) =>
        block.place(x + align * (width - block.width), y + tops[index]!),
      ),
  };
}

/** What stands between two blocks: the wanted gap, or more where one of them keeps more room. */
const clearGap = (a: Block, b: Block, gap: number): number =>
  Math.max(gap, CLEAR_SLACK * (a.clear ?? 0), CLEAR_SLACK * (b.clear ?? 0));

/** The same before it is known what stands on the other side: the wanted gap, or the room that a block keeps, and some. */
export const keptGap = (gap: number, block: Block | undefined): number =>
  Math.max(gap, KEPT_SLACK * (block?.clear ?? 0));

const KEPT_SLACK = 1.05;
/** A hair more than is asked for. */
const CLEAR_SLACK = 1.02;

const clearOf = (blocks: readonly Block[]): Pick<Block, "clear"> => {
  const clear = Math.max(0, ...blocks.map((block) => block.clear ?? 0));
  return clear > 0 ? { clear } : {};
};

/** One beside the other on one baseline. */
export function onOneLine(left: Block, right: Block, gap: number): Block {
  const baseline = Math.max(left.baseline, right.baseline);
  const [down, drop] = [baseline - left.baseline, baseline - right.baseline];
  const [a, b] = [left.lines, right.lines];
  return {
    width: left.width + gap + right.width,
    height: Math.max(down + left.height, drop + right.height),
    baseline,
    ...(a && b
      ? {
          lines: {
            size: Math.max(a.size, b.size),
            first: Math.max(down + a.first, drop + b.first),
          },
        }
      : {}),
    place: (x, y) => [...left.place(x, y + down), ...right.place(x + left.width + gap, y + drop)],
  };
}

/** One beside the other, about one centre line. */
export function abreast(left: Block, right: Block, gap: number): Block {
  const between = clearGap(left, right, gap);
  return ends(left, right, left.width + between + right.width, between)!;
}

/** Left and right at the two margins of a row, on one centre line. Undefined when they would touch. */
export function ends(left: Block, right: Block, width: number, gap: number): Block | undefined {
  if (left.width + clearGap(left, right, gap) + right.width > width) return undefined;
  const height = Math.max(left.height, right.height);
  return {
    width,
    height,
    baseline: height,
    ...clearOf([left, right]),
    place: (x, y) => [
      ...left.place(x, y + (height - left.height) / 2),
      ...right.place(x + width - right.width, y + (height - right.height) / 2),
    ],
  };
}

/**
 * Side by side, the second standing at `at` with its baseline on the first one's, which is at least `lowest` below
 * the top.
 */
export function sideBySide(
  left: Block,
  right: Block,
  at: number,
  lowest = 0,
  topRight?: Block,
): Block {
  const baseline = Math.max(left.baseline, lowest);
  const lower = baseline - left.baseline;
  const drop = Math.max(0, baseline - right.baseline);
  const height = Math.max(lower + left.height, drop + right.height);
  return {
    width: at + right.width,
    height,
    baseline,
    place: (x, y) => [
      ...left.place(x, y + lower),
      ...right.place(x + at, y + drop),
      ...(topRight?.place(x + at, y) ?? []),
    ],
  };
}

/**
 * The first at the top of a given height, the second at its bottom, on a shared left edge or about a shared middle with
 * `align` ½. Undefined when they would touch.
 */
export function topAndBottom(
  top: Block,
  foot: Block,
  height: number,
  gap: number,
  align = 0,
): Block | undefined {
  if (top.height + clearGap(top, foot, gap) + foot.height > height) return undefined;
  const width = Math.max(top.width, foot.width);
  return {
    width,
    height,
    baseline: height,
    place: (x, y) => [
      ...top.place(x + align * (width - top.width), y),
      ...foot.place(x + align * (width - foot.width), y + height - foot.height),
    ],
  };
}
