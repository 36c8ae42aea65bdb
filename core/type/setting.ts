import { clearStep } from "./apart";
import type { Paragraph } from "./paragraph";
import type { Line } from "./ragged";
import type { ShapedLine } from "./shape";

/** A line where it stands: the edge of its letters and its baseline, in em from the top left of the ink. */
export interface SetLine {
  shaped: ShapedLine;
  x: number;
  baseline: number;
}

/**
 * A text broken into lines, in em: at any size it looks the same. `ascent` is its ink above the first
 * baseline, `descent` its ink below the last, so `width` × `height` is exactly what is inked.
 */
interface Block {
  lines: readonly SetLine[];
  width: number;
  ascent: number;
  descent: number;
  height: number;
}

/** A block at a size: lengths in pixels, but for those of its lines, which are in em. */
export interface SetText extends Block {
  size: number;
  /** The width that it was set for. */
  measure: number;
  /** Of a list; one when not given. */
  columns?: number;
}

export interface Fit {
  width: number;
  height: number;
  min: number;
  max: number;
  mostLines: number;
  /** What is kept free on every side for a plate, in em. */
  pad?: number;
  /** How much even lines and good endings are worth against size: 1 as usual, less where size is what counts. */
  care?: number;
  /** How many its siblings have: taken where the text is about as large as it may be in so many lines, and they are not far worse. */
  lines?: number;
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
  return lines.length > mostLines ? undefined : atSize(blockOf(paragraph, lines), size, width);
}

/**
 * The largest size from `min` to `max` at which the text fits, preferring lines of like length that end
 * where one would pause. Found without trying sizes: widths grow in step with size, so each number of
 * lines has one largest size; the few numbers that promise the most are shaped, and of these the one wins
 * that is largest after weighing by shape and sense.
 */
export function setToFit(paragraph: Paragraph, fit: Fit): SetText | undefined {
  if (paragraph.empty) return undefined;
  const guesses = guessesOf(paragraph, fit);
  let best = 0;
  for (const { worth } of guesses) best = Math.max(best, worth);
  const near = guesses.filter(({ worth }) => worth >= NEARLY_BEST * best);
  return largest(paragraph, near, fit) ?? largest(paragraph, guesses, fit);
}

/** A way to set a text in some number of lines, in em, as far as it can be told without shaping them. */
interface Way {
  lines: Line[];
  width: number;
  height: number;
  /** 0..1, less for ragged lines and for ends where nobody would pause: they are paid for with size. */
  quality: number;
}

/** Guesses this near to the best are shaped, since ink may differ from what advances promise. */
const NEARLY_BEST = 0.97;
/** Ink below the last baseline before it is known, in em. */
const GUESSED_DESCENT = 0.18;
/** A little more width than the least may let lines end where one would pause. */
const SLACK = 1.15;
/** What a setting loses by lines that end where nobody would pause. */
const UNWELCOME_LOSS = 0.3;

/** How much more a setting is worth that has as many lines as its siblings: evenness hardly decides between them then. By eye. */
const AS_SIBLINGS = 1.6;
/** About as large as it may be: so much of that. By eye. */
const AS_LARGE = 0.9;

const worthIn = ({ care = 1 }: Fit, { quality }: Way): number =>
  care === 1 ? quality : quality ** care;

const worthOf = (fit: Fit, way: Way, size: number): number =>
  size *
  worthIn(fit, way) *
  (way.lines.length === fit.lines && size >= AS_LARGE * fit.max ? AS_SIBLINGS : 1);

interface Guess {
  way: Way;
  worth: number;
}

/**
 * Numbers of lines in the order of how large the type could be at best; the search ends when none can win any more. What
 * siblings have counts afterwards: their number of lines may turn out a hair too wide.
 */
function guessesOf(paragraph: Paragraph, fit: Fit): Guess[] {
  const pads = 2 * (fit.pad ?? 0);
  const most = Math.min(fit.mostLines, paragraph.parts.length);
  const bounds = Array.from({ length: most }, (_, i) => largestFor(paragraph, fit, i + 1, pads));
  const order = bounds.map((_, i) => i).sort((a, b) => bounds[b]! - bounds[a]!);
  const guesses: Guess[] = [];
  let best = 0;
  for (const i of order) {
    if (bounds[i]! < NEARLY_BEST * best) break;
    for (const way of waysOf(paragraph, i + 1)) {
      if (way.lines.length > fit.mostLines) continue;
      const byHeight = fit.height / (way.height + pads);
      const size = Math.min(fit.max, fit.width / (way.width + pads), byHeight);
      best = Math.max(best, size * worthIn(fit, way));
      guesses.push({ way, worth: worthOf(fit, way, size) });
    }
  }
  return guesses.sort((one, other) => one.way.lines.length - other.way.lines.length);
}

/** What no setting in that many lines can be larger than. */
function largestFor(paragraph: Paragraph, fit: Fit, count: number, pads: number): number {
  const height = (count - 1) * paragraph.style.leading + capOf(paragraph) + GUESSED_DESCENT + pads;
  const width = paragraph.naturalWidth(count) + pads;
  // Fewer lines may be needed than are allowed, so the height of one is all that is sure.
  const tallest = paragraph.fewestLines(count) < count ? Infinity : fit.height / height;
  return Math.min(fit.max, tallest, fit.width / width);
}

const capOf = (paragraph: Paragraph): number => paragraph.style.chain[0]?.capHeight ?? 0.7;

/** Ways and blocks depend on the text alone, and are asked for in every layout. */
const ways = new WeakMap<Paragraph, Way[][]>();
const blocks = new WeakMap<readonly Line[], Block>();

function waysOf(paragraph: Paragraph, count: number): Way[] {
  let byCount = ways.get(paragraph);
  if (!byCount) ways.set(paragraph, (byCount = []));
  return (byCount[count] ??= findWays(paragraph, count));
}

function findWays(paragraph: Paragraph, count: number): Way[] {
  const measure = paragraph.measureFor(count);
  const tight = paragraph.balanced(measure);
  if (paragraph.unwelcome(tight) === 0) return [wayOf(paragraph, tight)];
  const loose = paragraph.balanced(measure * SLACK);
  const better = paragraph.unwelcome(loose) < paragraph.unwelcome(tight);
  return better ? [wayOf(paragraph, tight), wayOf(paragraph, loose)] : [wayOf(paragraph, tight)];
}

function wayOf(paragraph: Paragraph, lines: Line[]): Way {
  const widths = lines.map((line) => paragraph.width(line));
  return {
    lines,
    width: Math.max(...widths) + paragraph.hang,
    height: baselinesHeight(paragraph, lines) + capOf(paragraph) + GUESSED_DESCENT,
    quality: evenness(widths) * sense(paragraph, lines),
  };
}

/** How much size even lines are worth. By eye: two lines of which one is half as long may be a third larger. */
const EVENNESS = 1.2;

/** Mean over widest, as a share of what size is worth. */
function evenness(widths: number[]): number {
  const widest = Math.max(...widths);
  const mean = widths.reduce((a, b) => a + b, 0) / widths.length;
  return widest > 0 ? (mean / widest) ** EVENNESS : 1;
}

const sense = (paragraph: Paragraph, lines: Line[]): number =>
  1 / (1 + UNWELCOME_LOSS * paragraph.unwelcome(lines));

/** Of the guesses, the one that is worth most as it is really inked; a larger number of lines must be clearly better. */
function largest(paragraph: Paragraph, guesses: Guess[], fit: Fit): SetText | undefined {
  const pads = 2 * (fit.pad ?? 0);
  let best: { block: Block; size: number; worth: number } | undefined;
  for (const { way } of guesses) {
    const block = blockOf(paragraph, way.lines);
    const byWidth = fit.width / (block.width + pads);
    const size = Math.min(fit.max, byWidth, fit.height / (block.height + pads));
    if (size < fit.min) continue;
    const worth = worthOf(fit, way, size);
    if (worth > (best?.worth ?? 0) * 1.02) best = { block, size, worth };
  }
  return best && atSize(best.block, best.size, fit.width);
}

/** From the first baseline to the last, in em. */
function baselinesHeight(paragraph: Paragraph, lines: Line[]): number {
  const gaps = lines.reduce((sum, line) => sum + paragraph.gapAbove(line), 0);
  return (lines.length - 1) * paragraph.style.leading + gaps;
}

function blockOf(paragraph: Paragraph, lines: Line[]): Block {
  let block = blocks.get(lines);
  if (!block) blocks.set(lines, (block = setLines(paragraph, lines)));
  return block;
}

/**
 * Lines share an edge of letters: what hangs (a quote, a list's marker) stands outside it on the left,
 * and what trails (a full stop) outside it on the right or about the middle.
 */
function setLines(paragraph: Paragraph, lines: Line[]): Block {
  const shaped = lines.map((line) => paragraph.shape(line));
  const share = paragraph.alignShare;
  const letters = shaped.map((line) => line.inkWidth - (share > 0 ? line.trail : 0));
  const body = Math.max(...letters);
  const edges = letters.map((width) => share * (body - width));
  const left = Math.max(...shaped.map((line, i) => line.hang - edges[i]!));
  const right = Math.max(...shaped.map((line, i) => edges[i]! + line.inkWidth));
  const ascent = shaped[0]!.top;
  const descent = shaped.at(-1)!.bottom;
  const step = stepOf(paragraph, lines, shaped, edges);
  let baseline = ascent;
  const set = shaped.map((line, i): SetLine => {
    if (i > 0) baseline += step + paragraph.gapAbove(lines[i]!);
    return { shaped: line, x: left + edges[i]!, baseline };
  });
  return { lines: set, width: left + right, ascent, descent, height: baseline + descent };
}

/** From baseline to baseline, alike for all lines: as the style asks, or as much more as keeps all inks apart. */
function stepOf(
  paragraph: Paragraph,
  lines: readonly Line[],
  shaped: readonly ShapedLine[],
  edges: readonly number[],
): number {
  const { leading } = paragraph.style;
  return shaped.reduce((step, line, i) => {
    if (i === 0) return step;
    const gap = paragraph.gapAbove(lines[i]!);
    const upper = { shaped: shaped[i - 1]!, x: edges[i - 1]! };
    const needed = clearStep(upper, { shaped: line, x: edges[i]! }, leading + gap);
    return Math.max(step, needed - gap);
  }, leading);
}

const atSize = (
  { lines, width, ascent, descent, height }: Block,
  size: number,
  measure: number,
): SetText => ({
  size,
  measure,
  lines,
  width: width * size,
  ascent: ascent * size,
  descent: descent * size,
  height: height * size,
});

/** The last baseline, in pixels below the top of the ink. */
export const lastBaseline = (set: SetText): number => set.height - set.descent;
