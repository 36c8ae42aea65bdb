import { breakPlaces } from "./breaks";
import type { PlainText } from "../text";

/** An unbreakable part of a text; lengths in em. `from` to `to` are its letters, as indices into the text. */
export interface Part {
  from: number;
  to: number;
  width: number;
  /** The space behind it. */
  space: number;
  /** What it takes more when a line ends here: a hyphen. */
  hyphen: number;
  penalty: number;
  /** A line must end behind this part; the next stands `gap` further down than its leading says. */
  ends: boolean;
  gap: number;
  /** A list's marker or an opening quote that hangs left of a line which begins here; `marker` counts its characters. */
  hang: number;
  marker: number;
}

interface PartsOptions {
  language: string;
  /** Between paragraphs and between the items of a list, in em. */
  gaps: { paragraph: number; item: number };
  /** The advance of the text from one index to another. */
  advance: (from: number, to: number) => number;
}

export const SOFT_HYPHEN = "\u00ad";
const OPENING_QUOTE = /^[“”„‟‘‚"'«»‹›「『]/u;

export function partsOf(plain: PlainText, options: PartsOptions): Part[] {
  const { text, hangs } = plain;
  const markers = new Map(hangs.map(({ from, to }) => [from, to]));
  const insides = new Set(hangs.map(({ to }) => to));
  const parts: Part[] = [];
  let start = 0;
  for (const place of breakPlaces(text, options.language)) {
    // A list's marker stays with its first word.
    if (insides.has(place.at)) continue;
    const part = partAt(text, start, place.at, markers.get(start), options);
    if (part) parts.push({ ...part, penalty: place.penalty, ends: place.required });
    // A line end with nothing before it is an empty line: it sets paragraphs apart.
    else if (place.required && parts.length > 0) parts.at(-1)!.gap = options.gaps.paragraph;
    const last = parts.at(-1);
    if (last?.ends && last.gap === 0 && markers.has(place.at)) last.gap = options.gaps.item;
    start = place.at;
  }
  const last = parts.at(-1);
  if (last) last.ends = false;
  return parts;
}

function partAt(
  text: string,
  from: number,
  end: number,
  markerEnd: number | undefined,
  { advance }: PartsOptions,
): Part | undefined {
  const word = text.slice(from, end).trimEnd();
  if (word === "") return undefined;
  const to = from + word.length;
  const gap = text.slice(to, end).replace(/[\r\n\u2028\u2029]+$/, "");
  const marker = markerEnd === undefined ? 0 : markerEnd - from;
  const quote = marker === 0 && OPENING_QUOTE.test(word) ? 1 : 0;
  return {
    from,
    to,
    width: advance(from + marker, to),
    space: gap ? advance(to, to + gap.length) : 0,
    hyphen: word.endsWith(SOFT_HYPHEN) ? 0.35 : 0,
    penalty: 0,
    ends: false,
    gap: 0,
    hang: marker + quote > 0 ? advance(from, from + marker + quote) : 0,
    marker,
  };
}
