import createBidi from "bidi-js";
import type { Face } from "./face";

/** A glyph placed on a line: x from the line's ink edge, y above the baseline, both in em. */
export interface PlacedGlyph {
  face: Face;
  glyph: number;
  x: number;
  y: number;
}

/** A shaped line; all lengths in em. `top` and `bottom` are its ink above and below the baseline. */
export interface ShapedLine {
  text: string;
  glyphs: PlacedGlyph[];
  advance: number;
  inkWidth: number;
  top: number;
  bottom: number;
}

const bidi = createBidi();
const RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufeff]/;

/**
 * Shapes a line with the first face of the chain that has each character, ordered by UAX #9.
 * The glyphs are shifted so that the line's ink starts at 0: large letters are aligned by ink.
 */
export function shapeLine(text: string, chain: readonly Face[], tracking: number): ShapedLine {
  const glyphs: PlacedGlyph[] = [];
  let pen = 0;
  for (const run of visualRuns(text, chain)) {
    for (const shaped of run.face.shape(run.text, run.direction)) {
      glyphs.push({ face: run.face, glyph: shaped.glyph, x: pen + shaped.dx, y: shaped.dy });
      pen += shaped.advance + (shaped.advance > 0 ? tracking : 0);
    }
  }
  return inked(text, glyphs, Math.max(0, pen - tracking));
}

function inked(text: string, glyphs: PlacedGlyph[], advance: number): ShapedLine {
  let [left, right, top, bottom] = [Infinity, -Infinity, -Infinity, Infinity];
  for (const { face, glyph, x, y } of glyphs) {
    const ink = face.ink(glyph);
    if (!ink) continue;
    left = Math.min(left, x + ink.left);
    right = Math.max(right, x + ink.right);
    top = Math.max(top, y + ink.top);
    bottom = Math.min(bottom, y + ink.bottom);
  }
  if (left > right) return { text, glyphs: [], advance, inkWidth: 0, top: 0, bottom: 0 };
  const shifted = glyphs.map((g) => ({ ...g, x: g.x - left }));
  return { text, glyphs: shifted, advance, inkWidth: right - left, top, bottom: -bottom };
}

interface Run {
  text: string;
  face: Face;
  direction: "ltr" | "rtl";
}

/** Runs of one face and one direction, in the order in which they stand on the line. */
function visualRuns(text: string, chain: readonly Face[]): Run[] {
  if (!RIGHT_TO_LEFT.test(text)) return faceRuns(text, chain, "ltr");
  const embedding = bidi.getEmbeddingLevels(text);
  const { levels } = embedding;
  const order = bidi.getReorderedIndices(text, embedding);
  const runs: Run[] = [];
  for (let i = 0; i < order.length;) {
    const level = levels[order[i]!]!;
    let end = i + 1;
    while (end < order.length && levels[order[end]!] === level) end++;
    const logical = order.slice(i, end).sort((a, b) => a - b);
    const slice = text.slice(logical[0], logical[logical.length - 1]! + 1);
    const direction = level % 2 === 1 ? "rtl" : "ltr";
    const pieces = faceRuns(slice, chain, direction);
    runs.push(...(direction === "rtl" ? pieces.reverse() : pieces));
    i = end;
  }
  return runs;
}

const graphemes = new Intl.Segmenter(undefined, { granularity: "grapheme" });

/** Splits where the chain has to change face; a grapheme is never split between two faces. */
function faceRuns(text: string, chain: readonly Face[], direction: Run["direction"]): Run[] {
  const [first] = chain;
  if (!first) throw new RangeError("a text needs at least one face");
  const runs: Run[] = [];
  for (const { segment } of graphemes.segment(text)) {
    const points = [...segment].map((character) => character.codePointAt(0)!);
    const face = chain.find((candidate) => points.every((p) => isBlank(p) || candidate.has(p)));
    const last = runs.at(-1);
    if (last && (last.face === (face ?? first) || points.every(isBlank))) last.text += segment;
    else runs.push({ text: segment, face: face ?? first, direction });
  }
  return runs;
}

const isBlank = (codePoint: number): boolean =>
  codePoint === 0x20 || codePoint === 0xa0 || codePoint === 0x200b || codePoint === 0x200d;

/** The characters of `text` that no face of the chain has. */
export function missingCharacters(text: string, chain: readonly Face[]): string[] {
  const missing = [...text].filter((character) => {
    const point = character.codePointAt(0)!;
    return point > 0x20 && !isBlank(point) && !chain.some((face) => face.has(point));
  });
  return [...new Set(missing)];
}
