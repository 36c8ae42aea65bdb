import { MARKER, type ShapedLine, type Stretch } from "../type";

const n = (value: number): string => String(Math.round(value * 100) / 100);

/** A stroke of a broad pen behind words: a little slanted, its ends not quite straight. Lengths in pixels. */
export function markerStroke(from: number, to: number, baseline: number, size: number): string {
  const [left, right] = [from - MARKER.beyond * size, to + MARKER.beyond * size];
  const [top, foot] = [baseline - MARKER.above * size, baseline + MARKER.below * size];
  const lean = 0.05 * size;
  return [
    `M${n(left + lean)} ${n(top + lean)}L${n(right - lean)} ${n(top)}`,
    `Q${n(right)} ${n((top + foot) / 2)} ${n(right - lean)} ${n(foot - lean)}`,
    `L${n(left + lean)} ${n(foot)}Q${n(left)} ${n((top + foot) / 2)} ${n(left + lean)} ${n(top + lean)}Z`,
  ].join("");
}

/** A bar below the baseline; lengths in em. */
interface Bar {
  from: number;
  to: number;
  offset: number;
  thickness: number;
}

/** Air that an underline leaves beside a descender, as a share of its own thickness. */
const AIR = 1.1;
/** A bar shorter than this, in em, is left out: it would be a speck between two descenders. */
const SHORTEST = 0.08;

/** The line under a stretch, with gaps where letters reach through it. */
export function underlines({ glyphs }: ShapedLine, stretch: Stretch): Bar[] {
  const first = glyphs.find((glyph) => glyph.x >= stretch.from - 1e-6) ?? glyphs[0];
  if (!first) return [];
  const { offset, thickness } = first.face.underline;
  const gaps = glyphs.flatMap(({ face, glyph, x, y }) => {
    const ink = face.ink(glyph);
    const reaches = ink !== undefined && -(y + ink.bottom) > offset;
    return reaches
      ? [{ from: x + ink.left - AIR * thickness, to: x + ink.right + AIR * thickness }]
      : [];
  });
  const bars: Bar[] = [];
  let from = stretch.from;
  for (const gap of [...gaps, { from: stretch.to, to: stretch.to }]) {
    if (gap.to < stretch.from || gap.from > stretch.to) continue;
    const to = Math.min(gap.from, stretch.to);
    if (to - from >= SHORTEST) bars.push({ from, to, offset, thickness });
    from = Math.max(from, gap.to);
  }
  return bars;
}
