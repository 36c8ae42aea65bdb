import { type Face } from "./face";
import { featureValues, type TypeFeature } from "../text";
import { itemise, type Faces, type LineText, type Run } from "./itemise";
import type { EmphasisKind } from "../text";
import { isJoined } from "../text";

/** What shaping a line needs to know of how it is set. `tracking` in em. */
export interface ShapeStyle extends Faces {
  tracking: number;
  features: readonly TypeFeature[];
  /** BCP 47. */
  language: string;
}

/** A glyph placed on a line: x from the line's edge, y above the baseline, both in em. */
export interface PlacedGlyph {
  face: Face;
  glyph: number;
  x: number;
  y: number;
  /** Index of its character in the line's text. */
  cluster: number;
}

/** A stretch of a line, for what is drawn along it; x in em from the line's edge. */
export interface Stretch {
  kind: EmphasisKind;
  from: number;
  to: number;
}

/** A run as it stands on the line, for painters that keep text as text. `x` is its pen start, in em. */
export interface PlacedRun {
  text: string;
  face: Face;
  rightToLeft: boolean;
  x: number;
  advance: number;
  /** Where it begins in the line's text. */
  at: number;
}

/**
 * A shaped line; all lengths in em. x counts from its edge: where the ink of its letters starts.
 * What hangs (opening quotes, a list's marker) stands left of it, `hang` wide. `inkWidth` runs from the
 * edge to the end of the ink, of which `trail` is punctuation that may stand beyond a right edge.
 * `top` and `bottom` are its ink above and below the baseline.
 */
export interface ShapedLine {
  text: string;
  glyphs: PlacedGlyph[];
  runs: PlacedRun[];
  stretches: Stretch[];
  advance: number;
  hang: number;
  inkWidth: number;
  trail: number;
  top: number;
  bottom: number;
}

/** Shapes a line, of which the first `hanging` characters are a list's marker. */
export function shapeLine(line: LineText, style: ShapeStyle, hanging = 0): ShapedLine {
  const pen = new Pen(line, style);
  for (const run of itemise(line, style)) pen.set(run);
  return measured(line, pen, hanging);
}

/** The pen's way along the line, glyph by glyph. */
class Pen {
  readonly glyphs: PlacedGlyph[] = [];
  readonly runs: PlacedRun[] = [];
  /** From where to where each character stands, by its index. */
  readonly from: number[] = [];
  readonly to: number[] = [];
  x = 0;
  /** The tracking behind the last glyph, which is not part of the line. */
  after = 0;

  constructor(
    private readonly line: LineText,
    private readonly style: ShapeStyle,
  ) {}

  set({ from, to, face, script, level }: Run): void {
    const { text } = this.line;
    const direction = level % 2 === 1 ? "rtl" : "ltr";
    const tracking = isJoined(script) ? 0 : this.style.tracking;
    const features = featureValues(this.style.features, tracking);
    const start = this.x;
    const request = {
      text,
      from,
      to,
      direction,
      script,
      language: this.style.language,
      features,
    } as const;
    for (const shaped of face.shape(request)) {
      const { glyph, cluster } = shaped;
      this.glyphs.push({ face, glyph, cluster, x: this.x + shaped.dx, y: shaped.dy });
      this.after = shaped.advance > 0 ? tracking : 0;
      const next = this.x + shaped.advance + this.after;
      this.from[cluster] = Math.min(this.from[cluster] ?? Infinity, this.x);
      this.to[cluster] = Math.max(this.to[cluster] ?? -Infinity, next - this.after);
      this.x = next;
    }
    const advance = this.x - start;
    this.runs.push({
      text: text.slice(from, to),
      face,
      rightToLeft: direction === "rtl",
      x: start,
      advance,
      at: from,
    });
  }
}

const OPENING = /^[“”„‟‘‚‛"'«»‹›「『（(¿¡]+/u;
/** Light marks at a line's end: they leave a dent in a right edge that they do not pass. */
const CLOSING = /[.,:;“”‘’"'»«›‹…‐\-–。、」』]+$/u;

function measured(line: LineText, pen: Pen, hanging: number): ShapedLine {
  const { text } = line;
  const lead = hanging + (OPENING.exec(text.slice(hanging))?.[0].length ?? 0);
  const tail = text.length - (CLOSING.exec(text)?.[0].length ?? 0);
  const all = inkOf(pen.glyphs);
  if (!all) return { ...EMPTY, text, advance: Math.max(0, pen.x - pen.after) };
  // A line of nothing but marks has no letters to align by; then the marks are the letters.
  const bare = lead === 0 && tail === text.length;
  const letters = bare
    ? all
    : (inkOf(pen.glyphs.filter((g) => g.cluster >= lead && g.cluster < tail)) ?? all);
  const glyphs = hanging > 0 ? withMarker(pen, hanging, letters.left) : pen.glyphs;
  const fromRight = line.levels?.[0] !== undefined && line.levels[0] % 2 === 1;
  // In a line that runs from the right, what opens it stands on its right side.
  const leftmost = glyphs === pen.glyphs ? all.left : inkOf(glyphs)!.left;
  const [edge, hang] = fromRight ? [all.left, 0] : [letters.left, letters.left - leftmost];
  // In place, since a line has many glyphs and none of them is known to anyone yet.
  for (const glyph of glyphs) glyph.x -= edge;
  for (const run of pen.runs) run.x -= edge;
  const stretches = stretchesOf(line, pen, edge);
  return withStrokes({
    text,
    glyphs,
    runs: pen.runs,
    stretches,
    advance: Math.max(0, pen.x - pen.after),
    hang,
    inkWidth: all.right - edge,
    trail: all.right - letters.right,
    top: all.top,
    bottom: -all.bottom,
  });
}

/** A marker stroke reaches this far above and below the baseline and beyond the words, in em. */
export const MARKER = { above: 0.7, below: 0.13, beyond: 0.1 } as const;

/** What is drawn along the words counts as ink too. */
function withStrokes(line: ShapedLine): ShapedLine {
  if (line.stretches.length === 0) return line;
  let { hang, inkWidth, top, bottom } = line;
  for (const { kind, from, to } of line.stretches) {
    if (kind === "marker") {
      hang = Math.max(hang, MARKER.beyond - from);
      inkWidth = Math.max(inkWidth, to + MARKER.beyond);
      top = Math.max(top, MARKER.above);
      bottom = Math.max(bottom, MARKER.below);
    } else if (kind === "underline") {
      const { offset, thickness } = line.glyphs[0]!.face.underline;
      bottom = Math.max(bottom, offset + thickness);
    }
  }
  return { ...line, hang, inkWidth, top, bottom };
}

/** Markers of a list stand under each other, whatever letter follows them: their ink starts one marker before the edge. */
function withMarker({ glyphs, to }: Pen, hanging: number, edge: number): PlacedGlyph[] {
  const own = inkOf(glyphs.filter((glyph) => glyph.cluster < hanging));
  const width = Math.max(...Array.from({ length: hanging }, (_, i) => to[i] ?? 0));
  const by = own ? edge - width - own.left : 0;
  return glyphs.map((glyph) => (glyph.cluster < hanging ? { ...glyph, x: glyph.x + by } : glyph));
}

const EMPTY = {
  glyphs: [],
  runs: [],
  stretches: [],
  hang: 0,
  inkWidth: 0,
  trail: 0,
  top: 0,
  bottom: 0,
};

function inkOf(glyphs: readonly PlacedGlyph[]) {
  let [left, right, top, bottom] = [Infinity, -Infinity, -Infinity, Infinity];
  for (const { face, glyph, x, y } of glyphs) {
    const ink = face.ink(glyph);
    if (!ink) continue;
    left = Math.min(left, x + ink.left);
    right = Math.max(right, x + ink.right);
    top = Math.max(top, y + ink.top);
    bottom = Math.min(bottom, y + ink.bottom);
  }
  return left > right ? undefined : { left, right, top, bottom };
}

/** Where each emphasis stands; one that bidi has split is drawn along each of its parts. */
function stretchesOf({ emphases, text }: LineText, pen: Pen, edge: number): Stretch[] {
  return emphases.flatMap(({ kind, from, to }) => {
    const parts: Stretch[] = [];
    for (const run of pen.runs) {
      const [start, end] = [
        Math.max(from, run.at),
        Math.min(to, run.at + run.text.length, text.length),
      ];
      const clusters = Array.from({ length: Math.max(0, end - start) }, (_, i) => start + i);
      const xs = clusters.flatMap((cluster) => pen.from[cluster] ?? []);
      const ends = clusters.flatMap((cluster) => pen.to[cluster] ?? []);
      if (xs.length === 0) continue;
      const last = parts.at(-1);
      const stretch = { kind, from: Math.min(...xs) - edge, to: Math.max(...ends) - edge };
      if (last && Math.abs(last.to - stretch.from) < 1e-6) last.to = stretch.to;
      else parts.push(stretch);
    }
    return parts;
  });
}
