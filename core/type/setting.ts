import type { Paragraph } from "./paragraph";
import type { Line } from "./ragged";
import type { ShapedLine } from "./shape";

/** A line where it stands: the edge of its letters and its baseline, in pixels from the top left of the ink. */
export interface SetLine {
  shaped: ShapedLine;
  x: number;
  baseline: number;
}

/**
 * A text at a size, broken into lines. Lengths in pixels; `ascent` is its ink above the first
 * baseline, `descent` its ink below the last, so `width` × `height` is exactly what is inked.
 */
export interface SetText {
  size: number;
  lines: SetLine[];
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
  /** What is kept free on every side for a plate, in em. */
  pad?: number;
}

/** Sets at a fixed size. Undefined when a word is wider than the measure or the lines are too many. */
export function setAt(
  paragraph: Paragraph,
  size: number,
  width: number,
  mostLines = Infinity,
): SetText | undefined {
  const measure = width / size - paragraph.hang;
  if (paragraph.empty || paragraph.widest > measure + 0.5 / size) return undefined;
  const lines = paragraph.balanced(measure);
  return lines.length > mostLines ? undefined : setLines(paragraph, lines, size);
}

/** A way to set a text in some number of lines, as far as it can be told without shaping them. */
interface Guess {
  lines: Line[];
  /** The size times how evenly the lines fill the measure: lines of one short word are paid for with size. */
  worth: number;
}

/** Guesses this near to the best are shaped, since ink may differ from what advances promise. */
const NEARLY_BEST = 0.9;
/** Ink above the first and below the last baseline before it is known, in em. */
const GUESSED_DESCENT = 0.18;

/**
 * The largest size from `min` to `max` at which the text fits, preferring lines of like length.
 * Found without trying sizes: widths grow in step with size, so each number of lines has one largest
 * size; the few numbers that promise the most are shaped, and of these the one wins that is largest
 * after weighing by evenness.
 */
export function setToFit(paragraph: Paragraph, fit: Fit): SetText | undefined {
  if (paragraph.empty) return undefined;
  const guesses = guessesOf(paragraph, fit);
  const best = Math.max(...guesses.map((guess) => guess.worth));
  const near = guesses.filter(({ worth }) => worth >= NEARLY_BEST * best);
  return largest(paragraph, near, fit) ?? largest(paragraph, guesses, fit);
}

/** A little more width than the least may let lines end where one would pause. */
const SLACKS = [1, 1.15];

function guessesOf(paragraph: Paragraph, fit: Fit): Guess[] {
  const guesses: Guess[] = [];
  const most = Math.min(fit.mostLines, paragraph.parts.length);
  let best = 0;
  for (let count = 1; count <= most; count++) {
    const own = SLACKS.flatMap((slack) => guess(paragraph, fit, count, slack) ?? []);
    // More lines are only lower type from here on.
    if (own.every(({ tallest }) => tallest < best)) break;
    best = Math.max(best, ...own.map(({ worth }) => worth));
    guesses.push(...own);
  }
  return guesses;
}

function guess(
  paragraph: Paragraph,
  fit: Fit,
  count: number,
  slack: number,
): (Guess & { tallest: number }) | undefined {
  const lines = paragraph.balanced(paragraph.measureFor(count) * slack);
  if (lines.length > fit.mostLines || (slack > 1 && paragraph.unwelcome(lines) > 0))
    return undefined;
  const pads = 2 * (fit.pad ?? 0);
  const height = baselinesHeight(paragraph, lines) + capOf(paragraph) + GUESSED_DESCENT + pads;
  const widths = lines.map((line) => paragraph.width(line));
  const widest = Math.max(...widths) + paragraph.hang + pads;
  const tallest = fit.height / height;
  const size = Math.min(fit.max, fit.width / widest, tallest);
  return { lines, tallest, worth: size * evenness(widths) * sense(paragraph, lines) };
}

/** What a setting loses by lines that end where nobody would pause. */
const UNWELCOME_LOSS = 0.3;
const sense = (paragraph: Paragraph, lines: Line[]): number =>
  1 / (1 + UNWELCOME_LOSS * paragraph.unwelcome(lines));

const capOf = (paragraph: Paragraph): number => paragraph.style.chain[0]?.capHeight ?? 0.7;

function evenness(widths: number[]): number {
  const widest = Math.max(...widths);
  const mean = widths.reduce((a, b) => a + b, 0) / widths.length;
  return widest > 0 ? (mean / widest) ** 2 : 1;
}

/** Of the guesses, the one that is worth most as it is really inked; a larger number of lines must be clearly better. */
function largest(paragraph: Paragraph, guesses: Guess[], fit: Fit): SetText | undefined {
  let best: { set: SetText; worth: number } | undefined;
  for (const { lines } of guesses) {
    const one = setLines(paragraph, lines, 1);
    const pads = 2 * (fit.pad ?? 0);
    const size = Math.min(
      fit.max,
      fit.width / (one.width + pads),
      fit.height / (one.height + pads),
    );
    if (size < fit.min) continue;
    const even = evenness(one.lines.map(({ shaped }) => shaped.inkWidth));
    const worth = size * even * sense(paragraph, lines);
    if (worth > (best?.worth ?? 0) * 1.02) best = { set: scaled(one, size), worth };
  }
  return best?.set;
}

/** From the first baseline to the last, in em. */
function baselinesHeight(paragraph: Paragraph, lines: Line[]): number {
  const gaps = lines.reduce((sum, line) => sum + paragraph.gapAbove(line), 0);
  return (lines.length - 1) * paragraph.style.leading + gaps;
}

/**
 * Lines share an edge of letters: what hangs (a quote, a list's marker) stands outside it on the left,
 * and what trails (a full stop) outside it on the right or about the middle.
 */
function setLines(paragraph: Paragraph, lines: Line[], size: number): SetText {
  const shaped = lines.map((line) => paragraph.shape(line));
  const share = paragraph.alignShare;
  const letters = shaped.map((line) => line.inkWidth - (share > 0 ? line.trail : 0));
  const body = Math.max(...letters);
  const edges = letters.map((width) => share * (body - width));
  const left = Math.max(...shaped.map((line, i) => line.hang - edges[i]!));
  const right = Math.max(...shaped.map((line, i) => edges[i]! + line.inkWidth));
  const ascent = shaped[0]!.top;
  const descent = shaped.at(-1)!.bottom;
  let baseline = ascent;
  const set = shaped.map((line, i): SetLine => {
    if (i > 0) baseline += paragraph.style.leading + paragraph.gapAbove(lines[i]!);
    return { shaped: line, x: left + edges[i]!, baseline };
  });
  return scaled(
    { size: 1, lines: set, width: left + right, ascent, descent, height: baseline + descent },
    size,
  );
}

function scaled(set: SetText, size: number): SetText {
  return {
    size: set.size * size,
    lines: set.lines.map(({ shaped, x, baseline }) => ({
      shaped,
      x: x * size,
      baseline: baseline * size,
    })),
    width: set.width * size,
    ascent: set.ascent * size,
    descent: set.descent * size,
    height: set.height * size,
  };
}

/** The last baseline, in pixels below the top of the ink. */
export const lastBaseline = (set: SetText): number => set.height - set.descent;
