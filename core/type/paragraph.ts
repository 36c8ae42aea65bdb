import { embeddingLevels, startsRight } from "./bidi";
import type { LineText } from "./itemise";
import { DISPLAY_LEADING } from "../rules";
import { readMarks, type PlainText } from "../text";
import type { Hyphenate } from "./hyphens";
import { softened } from "./long-words";
import { partsOf, SOFT_HYPHEN, type Part } from "./parts";
import {
  firstFit,
  hasLadder,
  leastRagged,
  linesNeeded,
  lineWidth,
  type Line,
  type Measured,
} from "./ragged";
import { shapeLine, type ShapedLine, type ShapeStyle } from "./shape";

/** How a text is set, whatever its size. `leading` is a multiple of the type size, the gaps are in em. */
export interface TypeStyle extends ShapeStyle {
  case: "as-typed" | "upper";
  leading: number;
  gaps: { paragraph: number; item: number };
  align: "start" | "left" | "centre" | "right";
  /** How words of the language are parted, where that is known. */
  hyphenate?: Hyphenate | undefined;
}

/** Texts of more parts than this are broken greedily; the best breaks no longer show. */
const MOST_PARTS_BALANCED = 60;
const MOST_MEASURES_KEPT = 400;
/** How much less welcome a hyphen is for each one that ends the lines before it. By eye. */
const ANOTHER_HYPHEN = 0.8;
/** What a line may leave at its end is less than this, in em. */
const WIDEST_SPACE = 1;
/** A measure is found to this share of an em. */
const MEASURE_STEP = 0.002;

/** A text that has been measured once and can be broken for any width without shaping again. */
export class Paragraph {
  /** The text as it is set: in its case, without marks. */
  readonly text: string;
  readonly parts: readonly Part[];
  readonly widest: number;
  /** The most that can hang left of a line, in em. The measures below do not count it. */
  readonly hang: number;
  readonly rightToLeft: boolean;
  private readonly plain: PlainText;
  private readonly levels: Uint8Array | undefined;
  private readonly measured: Measured;
  private readonly measures: number[] = [];
  private readonly broken = new Map<number, Line[]>();
  private readonly shaped = new Map<number, ShapedLine>();

  constructor(
    typed: string,
    readonly style: TypeStyle,
    advance: (line: LineText) => number,
  ) {
    const cased = style.case === "upper" ? typed.toLocaleUpperCase(style.language) : typed;
    const kind = style.leading < DISPLAY_LEADING ? "display" : "text";
    this.plain = readMarks(softened(cased, kind, style.hyphenate));
    this.text = this.plain.text;
    this.levels = embeddingLevels(this.text);
    this.rightToLeft = startsRight(this.text);
    this.parts = partsOf(this.plain, {
      language: style.language,
      gaps: style.gaps,
      advance: (from, to) => advance(this.slice(from, to)),
    });
    this.widest = Math.max(0, ...this.parts.map((part) => part.width));
    this.hang = Math.max(0, ...this.parts.map((part) => part.hang));
    this.measured = measuredOf(this.parts);
  }

  get empty(): boolean {
    return this.parts.length === 0;
  }

  /** Where the lines' edges are: 0 for a shared left edge, 1 for a right one. */
  get alignShare(): number {
    const start = this.rightToLeft ? 1 : 0;
    return { start, left: 0, centre: 0.5, right: 1 }[this.style.align];
  }

  /** The advance of a line in em, without the space at its end. */
  width({ from, to }: Line): number {
    return lineWidth(this.measured, from, to);
  }

  /** How unwelcome the line ends of a setting are, all together; 0 is as one would speak. */
  unwelcome(lines: readonly Line[]): number {
    let [sum, inRow] = [0, 0];
    for (const { to } of lines.slice(0, -1)) {
      const { penalty, hyphen } = this.parts[to - 1]!;
      sum += penalty + (hyphen > 0 ? ANOTHER_HYPHEN * inRow : 0);
      inRow = hyphen > 0 ? inRow + 1 : 0;
    }
    return sum;
  }

  /** How much further down than its leading says a line stands, in em. */
  gapAbove({ from }: Line): number {
    return from > 0 ? this.parts[from - 1]!.gap : 0;
  }

  /** Whether a line is the first of a paragraph or of a list's point. */
  beginsPoint(line: Line): boolean {
    return this.startsParagraph(line);
  }

  /** How many paragraphs or points it has. */
  get points(): number {
    return this.parts.filter(({ ends }) => ends).length + (this.empty ? 0 : 1);
  }

  /** The narrowest measure, in em, at which the text takes at most `lines` lines. */
  measureFor(lines: number): number {
    const known = this.measures[lines];
    if (known !== undefined) return known;
    const whole = this.width(this.all);
    let [low, high] = [
      Math.max(this.widest, whole / lines - WIDEST_SPACE),
      Math.max(this.widest, whole),
    ];
    if (linesNeeded(this.measured, low) <= lines) high = low;
    while (high - low > MEASURE_STEP) {
      const middle = (low + high) / 2;
      if (linesNeeded(this.measured, middle) <= lines) high = middle;
      else low = middle;
    }
    return (this.measures[lines] = high);
  }

  /** How many lines first-fit takes at the measure for that many: fewer, when a wide word widens it. */
  fewestLines(lines: number): number {
    return linesNeeded(this.measured, this.measureFor(lines));
  }

  /** The width, in em, that the text takes in that many lines with what hangs. */
  naturalWidth(lines: number): number {
    return this.measureFor(lines) + this.hang;
  }

  /** As few lines as first-fit needs for the measure, but with the least raggedness; one more for two hyphens in a row. */
  balanced(measure: number): Line[] {
    let lines = this.broken.get(measure);
    if (!lines) {
      if (this.broken.size > MOST_MEASURES_KEPT) this.broken.clear();
      this.broken.set(measure, (lines = this.breakEvenly(measure)));
    }
    return lines;
  }

  /** The line, shaped as a whole so that kerning and joining are right across its words. */
  shape(line: Line): ShapedLine {
    const key = line.from * (this.parts.length + 1) + line.to;
    let shaped = this.shaped.get(key);
    if (!shaped) {
      const first = this.parts[line.from]!;
      const marker = this.startsParagraph(line) ? first.marker : 0;
      shaped = shapeLine(this.lineText(line), this.style, marker);
      this.shaped.set(key, shaped);
    }
    return shaped;
  }

  private startsParagraph({ from }: Line): boolean {
    return from === 0 || this.parts[from - 1]!.ends;
  }

  private lineText({ from, to }: Line): LineText {
    const line = this.slice(this.parts[from]!.from, this.parts[to - 1]!.to);
    if (!line.text.endsWith(SOFT_HYPHEN) || to === this.parts.length) return line;
    return { ...line, text: `${line.text.slice(0, -1)}-` };
  }

  private slice(from: number, to: number): LineText {
    const { emphases } = this.plain;
    const text = this.text.slice(from, to);
    const levels = this.levels?.subarray(from, to);
    if (emphases.length === 0) return { text, emphases, levels };
    const inside = emphases.filter((emphasis) => emphasis.from < to && emphasis.to > from);
    return {
      text,
      emphases: inside.map((emphasis) => ({
        ...emphasis,
        from: Math.max(0, emphasis.from - from),
        to: Math.min(to, emphasis.to) - from,
      })),
      levels,
    };
  }

  private breakEvenly(measure: number): Line[] {
    const greedy = firstFit(this.measured, measure);
    if (greedy.length < 2 || this.parts.length > MOST_PARTS_BALANCED) return greedy;
    const lines = leastRagged(this.measured, greedy.length, measure) ?? greedy;
    if (!hasLadder(this.measured, lines)) return lines;
    const longer = leastRagged(this.measured, greedy.length + 1, measure);
    return longer && !hasLadder(this.measured, longer) ? longer : lines;
  }

  private get all(): Line {
    return { from: 0, to: this.parts.length };
  }
}

function measuredOf(parts: readonly Part[]): Measured {
  const starts = new Float64Array(parts.length + 1);
  parts.forEach(({ width, space }, index) => (starts[index + 1] = starts[index]! + width + space));
  return {
    starts,
    endings: Float64Array.from(parts, ({ space, hyphen }) => hyphen - space),
    penalties: Float64Array.from(parts, ({ penalty }) => penalty),
    ends: parts.map(({ ends }) => ends),
  };
}
