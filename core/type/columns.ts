import type { Paragraph } from "./paragraph";
import type { Line } from "./ragged";
import { setAt, type SetText } from "./setting";

/** Between the columns of a list, in em. */
const COLUMN_GAP = 2;

/**
 * Sets the points of a list in columns, in the order of reading down each; no point is broken across two. Undefined
 * when a word is wider than a column, or when there are fewer points than columns.
 */
export function setInColumns(
  paragraph: Paragraph,
  size: number,
  width: number,
  columns: number,
): SetText | undefined {
  const column = (width - (columns - 1) * COLUMN_GAP * size) / columns;
  const whole = setAt(paragraph, size, column);
  if (!whole || columns === 1) return whole;
  const starts = pointStarts(paragraph, paragraph.balanced(column / size - paragraph.hang));
  if (starts.length < columns) return undefined;
  const perColumn = Math.ceil(starts.length / columns);
  const { lines, ascent } = whole;
  const parts = Array.from({ length: Math.ceil(starts.length / perColumn) }, (_, i) =>
    lines.slice(starts[i * perColumn], starts[(i + 1) * perColumn]),
  );
  const step = whole.width / size + COLUMN_GAP;
  const first = ascent / size;
  const set = parts.flatMap((part, i) =>
    part.map((line) => ({
      ...line,
      x: line.x + (paragraph.rightToLeft ? parts.length - 1 - i : i) * step,
      baseline: line.baseline - part[0]!.baseline + first,
    })),
  );
  const bottoms = parts.map((part) => {
    const last = part.at(-1)!;
    return last.baseline - part[0]!.baseline + first + last.shaped.bottom;
  });
  const height = Math.max(...bottoms) * size;
  const last = parts.reduce((a, b) => (b.length > a.length ? b : a)).at(-1)!;
  const total = ((parts.length - 1) * step + whole.width / size) * size;
  return {
    ...whole,
    lines: set,
    width: total,
    height,
    descent: last.shaped.bottom * size,
    measure: width,
    columns,
  };
}

/** The lines at which a point begins. */
const pointStarts = (paragraph: Paragraph, lines: readonly Line[]): number[] =>
  lines.flatMap((line, i) => (i === 0 || paragraph.beginsPoint(line) ? [i] : []));
