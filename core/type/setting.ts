import type { Line, Paragraph } from "./paragraph";
import type { ShapedLine } from "./shape";

/**
 * A text at a size, broken into lines. Lengths in pixels; `ascent` is its ink above the first
 * baseline, `descent` its ink below the last, so `height` is exactly what is inked.
 */
export interface SetText {
  size: number;
  lines: ShapedLine[];
  lineHeight: number;
  width: number;
  ascent: number;
  descent: number;
  height: number;
}

export interface Fit {
  width: number;
  height: number;
  min: number;
  max: number;
  mostLines: number;
}

/** Sets at a fixed size. Undefined when a word is wider than the measure or the lines are too many. */
export function setAt(
  paragraph: Paragraph,
  size: number,
  width: number,
  mostLines = Infinity,
): SetText | undefined {
  if (paragraph.empty || paragraph.widest * size > width + 0.5) return undefined;
  const lines = paragraph.balanced(width / size);
  return lines.length > mostLines ? undefined : setLines(paragraph, lines, size);
}

/**
 * The largest size from `min` to `max` at which the text fits, preferring lines of like length.
 * Exact without search: widths grow in step with size, so each number of lines has one largest
 * size; of these the one wins that is largest after weighing by how evenly its lines fill the measure.
 */
export function setToFit(paragraph: Paragraph, fit: Fit): SetText | undefined {
  if (paragraph.empty) return undefined;
  let best: { size: number; measure: number; worth: number } | undefined;
  const most = Math.min(fit.mostLines, paragraph.parts.length);
  for (let count = 1; count <= most; count++) {
    const measure = paragraph.measureFor(count);
    const size = Math.min(fit.max, fit.width / measure, fit.height / heightInEm(paragraph, count));
    if (size < fit.min) continue;
    const worth = size * paragraph.evenness(count);
    if (worth > (best?.worth ?? 0) * 1.02) best = { size, measure, worth };
  }
  if (!best) return undefined;
  return shrinkInto(setLines(paragraph, paragraph.balanced(best.measure), best.size), fit);
}

function heightInEm({ style }: Paragraph, lines: number): number {
  return (lines - 1) * style.leading + style.chain[0]!.capHeight;
}

function setLines(paragraph: Paragraph, lines: Line[], size: number): SetText {
  const shaped = lines.map((line) => paragraph.shape(line));
  const lineHeight = size * paragraph.style.leading;
  const ascent = shaped[0]!.top * size;
  const descent = shaped.at(-1)!.bottom * size;
  return {
    size,
    lines: shaped,
    lineHeight,
    width: Math.max(...shaped.map((line) => line.inkWidth)) * size,
    ascent,
    descent,
    height: ascent + (shaped.length - 1) * lineHeight + descent,
  };
}

/** Kerning at line ends and real ink differ a little from the sum of the words: correct once. */
function shrinkInto(set: SetText, fit: Fit): SetText | undefined {
  const share = Math.min(1, fit.width / set.width, fit.height / set.height);
  if (set.size * share < fit.min * 0.995) return undefined;
  return share === 1 ? set : scaleSet(set, share);
}

/** The same setting at another size; nothing is broken or shaped again. */
export function scaleSet(set: SetText, by: number): SetText {
  return {
    ...set,
    size: set.size * by,
    lineHeight: set.lineHeight * by,
    width: set.width * by,
    ascent: set.ascent * by,
    descent: set.descent * by,
    height: set.height * by,
  };
}

/** The last baseline, in pixels below the top of the ink. */
export const lastBaseline = (set: SetText): number => set.height - set.descent;
