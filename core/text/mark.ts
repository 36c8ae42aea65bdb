import { MARKS } from "./markup";
import type { EmphasisKind } from "./markup";

export interface Selection {
  text: string;
  from: number;
  to: number;
}

/**
 * Puts the marks of an emphasis round what is selected, or takes them away when they are there already.
 * Spaces at the ends of the selection stay outside, since a mark beside a space is none.
 */
export function toggleMark({ text, from, to }: Selection, kind: EmphasisKind): Selection {
  const mark = Object.keys(MARKS).find((key) => MARKS[key] === kind)!;
  const words = text.slice(from, to);
  const start = from + (words.length - words.trimStart().length);
  const end = to - (words.length - words.trimEnd().length);
  if (end <= start) return { text, from, to };
  const inside = text.slice(start, end);
  if (text[start - 1] === mark && text[end] === mark) {
    return {
      text: text.slice(0, start - 1) + inside + text.slice(end + 1),
      from: start - 1,
      to: end - 1,
    };
  }
  return {
    text: text.slice(0, start) + mark + inside + mark + text.slice(end),
    from: start + 1,
    to: end + 1,
  };
}
