import type { Area } from "../files";
import { aroundEach, extentOf, regionsAbove, type Field } from "./regions";
import type { Greys } from "./page";

/*
 * Blocks of small print in a picture: a photographed page, a printed pack, a poster. Lines of ink lie on paper with gaps
 * between them, and each line is broken into letters; grass, bricks and leaves have no such gaps. All limits by trial, on
 * pages drawn in two typefaces, turned, shaded and blurred, and on photographs and prints without lettering.
 */

/** The side of a window that a few lines fall into, in pixels: a copy of 320 shows large letters, one of 480 small ones. */
const WINDOW = 24;
const STEP = WINDOW / 2;
/** Ink is this many levels darker than paper, and paper is the most of it. */
const LEAST_CONTRAST = 36;
const LEAST_PAPER = 0.55;
/** A row of pixels is a gap with less ink than the first, a line with more than the second, a rule with more than the third. */
const ROW = { gap: 0.08, line: 0.15, rule: 0.85 } as const;
const MOST_RULES = 1;
/** Lines and gaps follow each other so often in a window, and a line changes so often between ink and paper. */
const LEAST_TURNS = 3;
const LEAST_STROKES = WINDOW / 8;
/** A block takes up this share of the picture at least. */
const LEAST_BLOCK = 0.04;

/** The box of the print in a picture, to be seen whole or not at all; undefined where there is no block of it. */
export function findLettering(picture: Greys): Area | undefined {
  const width = Math.floor(picture.width / STEP) - 1;
  const height = Math.floor(picture.height / STEP) - 1;
  if (width < 1 || height < 1) return undefined;
  const values = Float64Array.from({ length: width * height }, (_, i) =>
    isPrint(picture, STEP * (i % width), STEP * Math.floor(i / width)) ? 1 : 0,
  );
  const blocks = blocksOf({ values, width, height });
  if (blocks.length === 0) return undefined;
  // A window reaches over a cell of the grid and its neighbours right and below.
  const cells = { width: width + 1, height: height + 1 };
  const covered = blocks.flat().flatMap((i) => {
    const first = (i % width) + Math.floor(i / width) * cells.width;
    return [first, first + 1 + cells.width];
  });
  return { kind: "thing", ...extentOf(covered, cells), weight: 1 };
}

/** The windows of print that stand together, or nearly so, and are enough for a block. */
function blocksOf(windows: Field): number[][] {
  const near = { ...windows, values: aroundEach(windows, (near) => Math.max(...near)) };
  return regionsAbove(near, 1)
    .map((region) => region.filter((i) => windows.values[i] === 1))
    .filter((block) => block.length >= LEAST_BLOCK * windows.values.length);
}

/** Whether a window of a picture, from this pixel on, shows lines of letters. */
function isPrint(picture: Greys, left: number, top: number): boolean {
  const rows = Array.from({ length: WINDOW }, (_, y) => {
    const from = (top + y) * picture.width + left;
    return picture.data.subarray(from, from + WINDOW);
  });
  const { ink, paper, above } = tonesOf(rows);
  if (paper - ink < LEAST_CONTRAST) return false;
  const limit = Math.floor((2 * paper + ink) / 3);
  if (above(limit) < LEAST_PAPER) return false;
  const inked = rows.map((row) => inkOf(row, limit));
  const lines = inked.filter(({ share }) => share > ROW.line);
  const rules = inked.filter(({ share }) => share > ROW.rule);
  const strokes = lines.reduce((sum, { changes }) => sum + changes, 0);
  return (
    turnsOf(inked.map(({ share }) => share)) >= LEAST_TURNS &&
    rules.length <= MOST_RULES &&
    strokes >= LEAST_STROKES * lines.length
  );
}

/** Shares of a window's pixels that are darker than its ink, and than its paper. */
const INK = 0.03;
const PAPER = 0.9;

/** The greys of ink and paper in a window, and the share of its pixels above a grey. */
function tonesOf(rows: readonly Uint8Array[]) {
  const counts = new Uint16Array(256);
  for (const row of rows) for (const grey of row) counts[grey]!++;
  const all = WINDOW * WINDOW;
  const greyAt = (share: number): number => {
    let grey = 0;
    for (let sum = counts[0]!; sum <= share * all; sum += counts[grey]!) grey++;
    return grey;
  };
  const above = (grey: number) => counts.subarray(grey + 1).reduce((a, b) => a + b, 0) / all;
  return { ink: greyAt(INK), paper: greyAt(PAPER), above };
}

/** The share of a row that is ink, and how often it changes between ink and paper. */
function inkOf(row: Uint8Array, limit: number): { share: number; changes: number } {
  let [inked, changes] = [0, 0];
  for (let x = 0; x < row.length; x++) {
    const isInk = row[x]! <= limit;
    if (isInk) inked++;
    if (x > 0 && isInk !== row[x - 1]! <= limit) changes++;
  }
  return { share: inked / row.length, changes };
}

/** How often rows turn from gap to line or back; what lies between the two goes with the one before. */
function turnsOf(shares: readonly number[]): number {
  let turns = 0;
  let last: "gap" | "line" | undefined;
  for (const share of shares) {
    const kind = share < ROW.gap ? "gap" : share > ROW.line ? "line" : last;
    if (last !== undefined && kind !== last) turns++;
    last = kind;
  }
  return turns;
}
