import { inVisualOrder } from "./bidi";
import type { Face } from "./face";
import type { Emphasis } from "../text";
import { PLAIN, scriptOf } from "../text";

/** Faces in the order in which they are asked for a character, plain and strong. */
export interface Faces {
  chain: readonly Face[];
  strong: readonly Face[];
}

/** A stretch of a line that is shaped in one go: one face, one script, one direction. */
export interface Run {
  from: number;
  to: number;
  face: Face;
  script: string;
  level: number;
}

/** A line of a text. Everything in it is counted from the line's start. */
export interface LineText {
  text: string;
  emphases: readonly Emphasis[];
  levels: Uint8Array | undefined;
}

const graphemes = new Intl.Segmenter("en", { granularity: "grapheme" });

/** User-perceived characters by UAX #29. */
export const graphemesOf = (text: string): { segment: string; index: number }[] => [
  ...graphemes.segment(text),
];

/** The runs of a line, in the order in which they stand on it. */
export function itemise(line: LineText, faces: Faces): Run[] {
  const [first] = faces.chain;
  if (!first) throw new RangeError("a text needs at least one face");
  if (isPlain(line, first)) {
    return [{ from: 0, to: line.text.length, face: first, script: "Latn", level: 0 }];
  }
  return inVisualOrder(logicalRuns(line, faces, first));
}

function isPlain({ text, emphases }: LineText, face: Face): boolean {
  if (!PLAIN.test(text) || emphases.some(({ kind }) => kind === "strong")) return false;
  for (let i = 0; i < text.length; i++) {
    const unit = text.charCodeAt(i);
    if (!isBlank(unit) && !face.has(unit)) return false;
  }
  return true;
}

function logicalRuns(line: LineText, faces: Faces, first: Face): Run[] {
  const runs: Run[] = [];
  for (const { segment, index } of graphemesOf(line.text)) {
    const to = index + segment.length;
    const level = line.levels?.[index] ?? 0;
    const last = runs.at(-1);
    const chain = isStrong(line.emphases, index) ? faces.strong : faces.chain;
    const blank = isAllBlank(segment);
    const face =
      blank && last && hasBlank(last.face, segment)
        ? last.face
        : (faceFor(segment, chain) ?? chain[0] ?? first);
    const script = scriptOf(segment.codePointAt(0)!);
    const joins = last?.face === face && last.level === level && goTogether(last.script, script);
    if (joins) {
      last.to = to;
      if (last.script === COMMON) last.script = script;
    } else {
      runs.push({ from: index, to, face, script, level });
    }
  }
  return runs.map((run) => (run.script === COMMON ? { ...run, script: "Latn" } : run));
}

const COMMON = "Zyyy";
const goTogether = (a: string, b: string): boolean => a === b || a === COMMON || b === COMMON;

const isStrong = (emphases: readonly Emphasis[], at: number): boolean =>
  emphases.some(({ kind, from, to }) => kind === "strong" && at >= from && at < to);

const SHOWN_IN_COLOUR = /^\p{Emoji_Presentation}|\ufe0f/u;

/** The first face that has the whole grapheme; for what is shown as an emoji, the first coloured one. */
export function faceFor(grapheme: string, chain: readonly Face[]): Face | undefined {
  const points = [...grapheme].map((character) => character.codePointAt(0)!);
  const has = (face: Face): boolean => points.every((point) => isBlank(point) || face.has(point));
  if (isAllBlank(grapheme)) return chain.find((face) => face.has(0x20));
  const coloured = SHOWN_IN_COLOUR.test(grapheme)
    ? chain.find((face) => face.coloured && has(face))
    : undefined;
  return coloured ?? chain.find((face) => !face.coloured && has(face)) ?? chain.find(has);
}

/** Characters that leave no mark: spaces, joiners, direction marks, variation selectors, the soft hyphen. */
export const isBlank = (codePoint: number): boolean =>
  codePoint <= 0x20 ||
  codePoint === 0xa0 ||
  codePoint === 0xad ||
  (codePoint >= 0x2000 && codePoint <= 0x200f) ||
  (codePoint >= 0x2028 && codePoint <= 0x202f) ||
  (codePoint >= 0x2060 && codePoint <= 0x2069) ||
  codePoint === 0x3000 ||
  (codePoint >= 0xfe00 && codePoint <= 0xfe0f) ||
  codePoint === 0xfeff;

const isAllBlank = (text: string): boolean =>
  [...text].every((character) => isBlank(character.codePointAt(0)!));

/** Shaping hides joiners and the like by itself, but a space has to be a glyph of the face. */
const hasBlank = (face: Face, blank: string): boolean => !/[ \u00a0]/.test(blank) || face.has(0x20);

/** The characters of `text` that no face of the chain has. */
export function missingCharacters(text: string, chain: readonly Face[]): string[] {
  if (chain[0] && isPlain({ text, emphases: [], levels: undefined }, chain[0])) return [];
  const missing = graphemesOf(text).filter(
    ({ segment }) => !isAllBlank(segment) && !faceFor(segment, chain),
  );
  return [...new Set(missing.map(({ segment }) => segment))];
}
