/** Where each line begins and ends: `from` inclusive, `to` exclusive, as part indices. */
export interface Line {
  from: number;
  to: number;
}

/** What breaking needs to know of a text that has been measured; lengths in em. */
export interface Measured {
  /** Widths of the text before each part, spaces included, one more than there are parts. */
  starts: Float64Array;
  /** What a line ends with less than its parts: the space behind the last, or more for a hyphen. */
  endings: Float64Array;
  /** How unwelcome a break behind the part is, 0..1. */
  penalties: Float64Array;
  /** A line must end behind these parts. */
  ends: readonly boolean[];
}

/** A last line shorter than this share of the mean one looks left over. Common practice. */
const SHORT_LAST_LINE = 0.4;
/** What a short last line and the most unwelcome break cost, as squared shares of the mean line. By eye. */
const SHORT_COST = 0.25;
const UNWELCOME_COST = 0.3;
/** What a hyphen under a hyphen costs: more than any raggedness. Common practice: never two in a row. */
const LADDER_COST = 4;
const TOLERANCE = 1e-9;

export const lineWidth = ({ starts, endings }: Measured, from: number, to: number): number =>
  to > from ? starts[to]! - starts[from]! + endings[to - 1]! : 0;

/** How many lines first-fit takes. */
export function linesNeeded(text: Measured, measure: number): number {
  const total = text.ends.length;
  let [lines, from] = [0, 0];
  for (let to = 1; to <= total; to++) {
    if (to - from > 1 && lineWidth(text, from, to) > measure + TOLERANCE) {
      lines += 1;
      from = to - 1;
    }
    if (text.ends[to - 1]) {
      lines += 1;
      from = to;
    }
  }
  return from < total ? lines + 1 : lines;
}

/** First-fit lines. A part wider than the measure stands alone and sticks out. */
export function firstFit(text: Measured, measure: number): Line[] {
  const lines: Line[] = [];
  const total = text.ends.length;
  let from = 0;
  for (let to = 1; to <= total; to++) {
    const tooWide = to - from > 1 && lineWidth(text, from, to) > measure + TOLERANCE;
    if (tooWide) {
      lines.push({ from, to: to - 1 });
      from = to - 1;
    }
    if (text.ends[to - 1]) {
      lines.push({ from, to });
      from = to;
    }
  }
  if (from < total) lines.push({ from, to: total });
  return lines;
}

/**
 * Total-fit breaking, the idea of Knuth and Plass ("Breaking paragraphs into lines", 1981) for ragged text:
 * of all ways to set `count` lines within the measure, the one with the least sum of squared shortfalls
 * from the mean width, where unwelcome breaks and a short last line cost extra.
 * Undefined when there is none.
 */
export function leastRagged(text: Measured, count: number, measure: number): Line[] | undefined {
  const total = text.ends.length;
  const target = lineWidth(text, 0, total) / count;
  const cost = costOver(text, measure, target);
  let reached: Float64Array = new Float64Array(total + 1).fill(Infinity);
  reached[0] = 0;
  const before: Int32Array[] = [];
  for (let row = 0; row < count; row++) {
    const next = new Float64Array(total + 1).fill(Infinity);
    const back = new Int32Array(total + 1);
    for (let from = row; from < total; from++) {
      if (reached[from] === Infinity) continue;
      for (let to = from + 1; to <= total; to++) {
        const own = cost(from, to);
        if (own === Infinity) break;
        const sum = reached[from]! + own;
        if (sum < next[to]!) {
          next[to] = sum;
          back[to] = from;
        }
      }
    }
    before.push(back);
    reached = next;
  }
  return reached[total] === Infinity ? undefined : tracedBack(before, total);
}

/** The cost of one line; infinite once it is too wide or runs over a required end, as longer ones then are. */
function costOver(text: Measured, measure: number, target: number) {
  const total = text.ends.length;
  return (from: number, to: number): number => {
    const width = lineWidth(text, from, to);
    if (to - from > 1 && (width > measure + TOLERANCE || text.ends[to - 2])) return Infinity;
    const isLast = to === total || text.ends[to - 1];
    const short = isLast && width < SHORT_LAST_LINE * target ? 1 : 0;
    const unwelcome = to < total ? text.penalties[to - 1]! : 0;
    const ladder = isHyphened(text, from) && isHyphened(text, to) ? LADDER_COST : 0;
    const ragged = isLast && from > 0 ? 0.5 * (width - target) ** 2 : (width - target) ** 2;
    return ragged + (SHORT_COST * short + UNWELCOME_COST * unwelcome + ladder) * target * target;
  };
}

/** A line that ends before this part ends with a hyphen of the typesetter's own. */
const isHyphened = ({ endings, ends }: Measured, before: number): boolean =>
  before > 0 && before < ends.length && endings[before - 1]! > 0;

/** Whether two lines in a row end with hyphens. */
export const hasLadder = (text: Measured, lines: readonly Line[]): boolean =>
  lines.some(({ from, to }) => isHyphened(text, from) && isHyphened(text, to));

function tracedBack(before: Int32Array[], total: number): Line[] {
  const lines: Line[] = [];
  let to = total;
  for (let row = before.length - 1; row >= 0; row--) {
    const from = before[row]![to]!;
    lines.unshift({ from, to });
    to = from;
  }
  return lines;
}
