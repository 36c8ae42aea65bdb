import type { Line, LineBlock, Paragraph } from "./paragraph";
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
  let best: { size: number; block: LineBlock; worth: number } | undefined;
  const most = Math.min(fit.mostLines, paragraph.parts.length);
  for (let count = 1; count <= most; count++) {
    const block = paragraph.block(count);
    if (block.lines.length > fit.mostLines) continue;
    const size = Math.min(fit.max, fit.width / block.width, fit.height / block.height);
    if (size < fit.min) continue;
    const worth = size * block.evenness;
    if (worth > (best?.worth ?? 0) * 1.02) best = { size, block, worth };
  }
  return best && setLines(paragraph, best.block.lines, best.size);
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

/** The last baseline, in pixels below the top of the ink. */
export const lastBaseline = (set: SetText): number => set.height - set.descent;
