import LineBreaker from "linebreak";
import type { Face } from "./face";
import { shapeLine, type ShapedLine } from "./shape";

/** How a text is set, whatever its size. `tracking` in em; `leading` as a multiple of the type size. */
export interface TypeStyle {
  chain: readonly Face[];
  case: "as-typed" | "upper";
  tracking: number;
  leading: number;
}

/** An unbreakable part of a text, with the advance of its ink and of the space behind it, in em. */
interface Part {
  text: string;
  width: number;
  space: number;
  /** A line must end after this part. */
  ends: boolean;
}

/** Where each line begins and ends: `from` inclusive, `to` exclusive, as part indices. */
export interface Line {
  from: number;
  to: number;
}

/**
 * Lines with the ink that they take in em. `evenness` is the mean width over the widest, squared:
 * lines of one short word are paid for with size.
 */
export interface LineBlock {
  lines: Line[];
  width: number;
  height: number;
  evenness: number;
}

/** A last line shorter than this share of the widest one looks left over. Common practice. */
const SHORT_LAST_LINE = 0.34;
/** Texts of more parts than this are broken greedily; the best breaks no longer show. */
const MOST_PARTS_BALANCED = 60;
const MOST_MEASURES_KEPT = 400;

/** A text that has been measured once and can be broken for any width without shaping again. */
export class Paragraph {
  readonly parts: readonly Part[];
  readonly widest: number;
  private readonly measures: number[] = [];
  private readonly blocks: LineBlock[] = [];
  private readonly broken = new Map<number, Line[]>();
  private readonly shaped = new Map<number, ShapedLine>();

  constructor(
    text: string,
    readonly style: TypeStyle,
    advance: (word: string) => number,
  ) {
    this.parts = partsOf(style.case === "upper" ? text.toLocaleUpperCase() : text, advance);
    this.widest = Math.max(0, ...this.parts.map((part) => part.width));
  }

  get empty(): boolean {
    return this.parts.length === 0;
  }

  text({ from, to }: Line): string {
    return this.parts
      .slice(from, to)
      .map((part) => part.text)
      .join("")
      .trimEnd();
  }

  /** The advance of a line in em, without the space at its end. */
  width({ from, to }: Line): number {
    let sum = 0;
    for (let i = from; i < to; i++) sum += this.parts[i]!.width + this.parts[i]!.space;
    return to > from ? sum - this.parts[to - 1]!.space : 0;
  }

  /** First-fit lines for a measure in em. A part wider than the measure stands alone and sticks out. */
  greedy(measure: number): Line[] {
    const lines: Line[] = [];
    let from = 0;
    let width = 0;
    this.parts.forEach((part, index) => {
      const begins = index === from;
      if (!begins && width + part.width > measure + 1e-9) {
        lines.push({ from, to: index });
        from = index;
        width = 0;
      }
      width += part.width + part.space;
      if (part.ends) {
        lines.push({ from, to: index + 1 });
        from = index + 1;
        width = 0;
      }
    });
    if (from < this.parts.length) lines.push({ from, to: this.parts.length });
    return lines;
  }

  /** The narrowest measure, in em, at which the text takes at most `lines` lines. */
  measureFor(lines: number): number {
    const known = this.measures[lines];
    if (known !== undefined) return known;
    let [low, high] = [this.widest, Math.max(this.widest, this.width(this.all))];
    if (this.greedy(low).length <= lines) high = low;
    while (high - low > 0.002) {
      const middle = (low + high) / 2;
      if (this.greedy(middle).length <= lines) high = middle;
      else low = middle;
    }
    return (this.measures[lines] = high);
  }

  /** As few lines as first-fit needs for the measure, but with the least raggedness. */
  balanced(measure: number): Line[] {
    let lines = this.broken.get(measure);
    if (!lines) {
      if (this.broken.size > MOST_MEASURES_KEPT) this.broken.clear();
      this.broken.set(measure, (lines = this.breakEvenly(measure)));
    }
    return lines;
  }

  /** The text in at most `count` lines, as narrow as that can be. */
  block(count: number): LineBlock {
    let block = this.blocks[count];
    if (!block)
      this.blocks[count] = block = this.measureBlock(this.balanced(this.measureFor(count)));
    return block;
  }

  private measureBlock(lines: Line[]): LineBlock {
    const shaped = lines.map((line) => this.shape(line));
    const widths = shaped.map((line) => line.inkWidth);
    const width = Math.max(...widths);
    const mean = widths.reduce((a, b) => a + b, 0) / widths.length;
    const between = (lines.length - 1) * this.style.leading;
    const height = shaped[0]!.top + between + shaped.at(-1)!.bottom;
    return { lines, width, height, evenness: width > 0 ? (mean / width) ** 2 : 1 };
  }

  /** The line, shaped as a whole so that kerning and joining are right across its words. */
  shape(line: Line): ShapedLine {
    const key = line.from * (this.parts.length + 1) + line.to;
    let shaped = this.shaped.get(key);
    if (!shaped) {
      shaped = shapeLine(this.text(line), this.style.chain, this.style.tracking);
      this.shaped.set(key, shaped);
    }
    return shaped;
  }

  private breakEvenly(measure: number): Line[] {
    const greedy = this.greedy(measure);
    if (greedy.length < 2 || this.parts.length > MOST_PARTS_BALANCED) return greedy;
    return leastRagged(this, greedy.length, measure) ?? greedy;
  }

  private get all(): Line {
    return { from: 0, to: this.parts.length };
  }
}

function partsOf(text: string, advance: (word: string) => number): Part[] {
  const parts: Part[] = [];
  const breaker = new LineBreaker(text);
  let from = 0;
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    const whole = text.slice(from, next.position).replace(/[\r\n\u2028\u2029]+$/, "");
    const word = whole.trimEnd();
    const spaces = whole.length - word.length;
    parts.push({
      text: whole,
      width: word ? advance(word) : 0,
      space: spaces > 0 ? advance(" ") * spaces : 0,
      ends: next.required && next.position < text.length,
    });
    from = next.position;
  }
  return parts.filter((part) => part.text !== "" || part.ends);
}

/**
 * Total-fit breaking: of all ways to set `count` lines within the measure, the one with the least
 * sum of squared shortfalls from the mean width, where a short last line costs extra.
 */
function leastRagged(paragraph: Paragraph, count: number, measure: number): Line[] | undefined {
  const { parts } = paragraph;
  const total = parts.length;
  const target = paragraph.width({ from: 0, to: total }) / count;
  const costOf = (line: Line): number => {
    const width = paragraph.width(line);
    if (width > measure + 1e-9 && line.to - line.from > 1) return Infinity;
    for (let i = line.from; i < line.to - 1; i++) if (parts[i]!.ends) return Infinity;
    const short = line.to === total && width < SHORT_LAST_LINE * target ? target * target : 0;
    return (width - target) ** 2 + short;
  };
  let best: { cost: number; lines: Line[] }[] = [{ cost: 0, lines: [] }];
  for (let row = 0; row < count; row++) {
    const next: typeof best = [];
    for (let to = row + 1; to <= total; to++) {
      for (let from = row; from < to; from++) {
        const before = best[from];
        if (!before) continue;
        const line = { from, to };
        const cost = before.cost + costOf(line);
        if (cost < (next[to]?.cost ?? Infinity))
          next[to] = { cost, lines: [...before.lines, line] };
      }
    }
    best = next;
  }
  return best[total]?.lines;
}

/** Measures words with the given style; a word's advance is kept, since typing repeats most of them. */
export function advanceWith(
  style: TypeStyle,
  known: Map<string, number>,
): (word: string) => number {
  return (word) => {
    const key = `${style.tracking}|${word}`;
    let advance = known.get(key);
    if (advance === undefined) {
      const line = shapeLine(word, style.chain, style.tracking);
      known.set(key, (advance = line.advance + style.tracking));
    }
    return advance;
  };
}
