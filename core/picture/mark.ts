import { box, type Box } from "../geometry";

/** A mark is about as wide as high, and letters beside it are longer than high. Our own measures, by eye. */
const MARK_RATIO = { from: 0.5, to: 1.9 } as const;
const LEAST_REST = 1.3;
/** A mark beside letters is at least as high as most of the logo. */
const LEAST_HEIGHT = 0.7;
/** The gap between mark and letters is this many times the usual gap between letters, and this share of the logo's height. */
const WIDER = 1.7;
const LEAST_GAP = 0.06;
/** Letters are at least so many pieces. */
const LETTERS = 3;

type IsInk = (x: number, y: number) => boolean;

/** The mark of a logo, where one stands apart: at either end of its letters, or above them; pixels. */
export function markIn(isInk: IsInk, whole: Box): Box | undefined {
  return beside(isInk, whole) ?? above(isInk, whole);
}

interface Run {
  from: number;
  to: number;
}

function beside(isInk: IsInk, whole: Box): Box | undefined {
  const runs = runsOf(whole.x, whole.width, (x) => some(whole.y, whole.height, (y) => isInk(x, y)));
  const gaps = runs.slice(1).map(({ from }, i) => from - runs[i]!.to);
  const usual = [...gaps].sort((a, b) => a - b)[Math.floor(gaps.length / 2)] ?? 0;
  const least = Math.max(WIDER * usual, LEAST_GAP * whole.height);
  const first = gaps.findIndex((gap) => gap >= least);
  const last = gaps.findLastIndex((gap) => gap >= least);
  for (const [mark, rest] of [
    [runs.slice(0, first + 1), runs.slice(first + 1)],
    [runs.slice(last + 1), runs.slice(0, last + 1)],
  ] as const) {
    if (first < 0 || mark.length === 0 || rest.length < LETTERS) continue;
    const found = inkedIn(isInk, { ...whole, x: mark[0]!.from, width: lengthOf(mark) });
    const letters = lengthOf(rest) / whole.height;
    if (isMark(found) && found.height >= LEAST_HEIGHT * whole.height && letters >= LEAST_REST)
      return found;
  }
  return undefined;
}

function above(isInk: IsInk, whole: Box): Box | undefined {
  const runs = runsOf(whole.y, whole.height, (y) => some(whole.x, whole.width, (x) => isInk(x, y)));
  const [mark, ...rest] = runs;
  if (!mark || rest.length === 0) return undefined;
  const height = mark.to - mark.from;
  const found = inkedIn(isInk, { ...whole, height });
  const letters = inkedIn(isInk, { ...whole, y: rest[0]!.from, height: lengthOf(rest) });
  const isTaller = height > 1.4 * (rest[0]!.to - rest[0]!.from);
  return isMark(found) && isTaller && letters.width >= LEAST_REST * letters.height
    ? found
    : undefined;
}

const isMark = ({ width, height }: Box): boolean =>
  width / height >= MARK_RATIO.from && width / height <= MARK_RATIO.to;

const lengthOf = (runs: readonly Run[]): number => runs.at(-1)!.to - runs[0]!.from;

const some = (from: number, length: number, is: (at: number) => boolean): boolean => {
  for (let at = from; at < from + length; at++) if (is(at)) return true;
  return false;
};

/** The stretches along one axis in which there is ink. */
function runsOf(from: number, length: number, hasInk: (at: number) => boolean): Run[] {
  const runs: Run[] = [];
  for (let at = from; at < from + length; at++) {
    if (!hasInk(at)) continue;
    const last = runs.at(-1);
    if (last?.to === at) last.to = at + 1;
    else runs.push({ from: at, to: at + 1 });
  }
  return runs;
}

/** What is inked of a part. */
function inkedIn(isInk: IsInk, { x, y, width, height }: Box): Box {
  const rows = runsOf(y, height, (row) => some(x, width, (at) => isInk(at, row)));
  const columns = runsOf(x, width, (column) => some(y, height, (at) => isInk(column, at)));
  if (rows.length === 0 || columns.length === 0) return box(x, y, 0, 0);
  return box(columns[0]!.from, rows[0]!.from, lengthOf(columns), lengthOf(rows));
}
