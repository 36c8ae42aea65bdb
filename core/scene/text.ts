import type { Hex } from "../colour";
import { area, between, box, type Box } from "../geometry";
import type { Corner, ResolvedPlate, TextNode } from "../resolve";
import { placedOutline, rectangle } from "../shape";
import type { PlacedGlyph, SetLine } from "../type";
import { common, type NodeMeasures } from "./measures";
import { shadowOf } from "./figures";
import { bentItems } from "./bent";
import { markerStroke, underlines } from "./emphasis";
import type { GlyphsItem, PathItem, SceneGlyph, SceneItem, SceneRun } from "./scene";

/** A line with its place in the frame: the edge of its letters and its baseline, in output pixels. */
export interface PlacedLine {
  line: SetLine;
  x: number;
  baseline: number;
  size: number;
}

/** Back to front: plates, marker strokes, shadow, outline, underlines, letters. */
export function textItems(measures: NodeMeasures, node: TextNode): SceneItem[] {
  const { set, ink, bent } = measures.placed.text!;
  if (bent) return bentItems(measures, node, bent);
  const lines = set.lines.map((line) => ({
    line,
    x: ink.x + line.x * set.size,
    baseline: ink.y + line.baseline * set.size,
    size: set.size,
  }));
  return [
    ...plates(measures, node, lines),
    ...lines.flatMap((line) => markerItems(measures, node, line)),
    ...behindLetters(measures, node, lines),
    ...lines.flatMap((line) => underlineItems(measures, node, line)),
    ...lines.flatMap((line) => letters(measures, node, line)),
  ];
}

const flat = (measures: NodeMeasures, d: string, hex: Hex): PathItem => ({
  ...common(measures),
  kind: "path",
  d,
  fill: { kind: "flat", hex },
});

function plates(
  measures: NodeMeasures,
  { plate, paragraph }: TextNode,
  lines: PlacedLine[],
): PathItem[] {
  if (!plate) return [];
  const { box: whole, text } = measures.placed;
  const painted = (at: Box, size: number): PathItem => {
    const item = flat(measures, rectangle(at, radiusOf(plate, at, size)), plate.hex);
    return { ...item, opacity: item.opacity * (plate.alpha ?? 1) };
  };
  if (plate.per === "block") return area(whole) === 0 ? [] : [painted(whole, text!.set.size)];
  const cap = paragraph.style.chain[0]?.capHeight ?? 0.7;
  return lines.map((line) => painted(linePlate(line, plate, cap), line.size));
}

/** What a line's letters reach below the baseline, as far as its plate allows for it, in em. */
const DESCENT = 0.14;

function linePlate(
  { line, x, baseline, size }: PlacedLine,
  { padding }: ResolvedPlate,
  cap: number,
): Box {
  const { shaped } = line;
  const pad = padding * size;
  return between(
    x - shaped.hang * size - pad,
    baseline - cap * size - pad,
    x + shaped.inkWidth * size + pad,
    baseline + DESCENT * size + pad,
  );
}

/** How round a plate is, in pixels: "soft" takes a little off, "round" makes a pill; a number is em. */
function radiusOf({ corner }: { corner: Corner | number }, plate: Box, size: number): number {
  if (typeof corner === "number") return corner * size;
  if (corner === "square") return 0;
  return corner === "soft" ? 0.16 * plate.height : plate.height / 2;
}

const markerItems = (
  measures: NodeMeasures,
  node: TextNode,
  { line, x, baseline, size }: PlacedLine,
): PathItem[] =>
  line.shaped.stretches
    .filter(({ kind }) => kind === "marker")
    .map(({ from, to }) =>
      flat(measures, markerStroke(x + from * size, x + to * size, baseline, size), node.marker),
    );

function underlineItems(
  measures: NodeMeasures,
  node: TextNode,
  { line, x, baseline, size }: PlacedLine,
): PathItem[] {
  return line.shaped.stretches
    .filter(({ kind }) => kind === "underline")
    .flatMap((stretch) =>
      underlines(line.shaped, stretch).map(({ from, to, offset, thickness }) => {
        const bar = box(
          x + from * size,
          baseline + offset * size,
          (to - from) * size,
          thickness * size,
        );
        return flat(measures, rectangle(bar), node.colour);
      }),
    );
}

/** Shadow and outline are painted of the whole text at once, so that neighbours do not darken each other. */
function behindLetters(measures: NodeMeasures, node: TextNode, lines: PlacedLine[]): PathItem[] {
  const { shadow, outline } = node;
  if (!shadow && !outline) return [];
  const { size } = measures.placed.text!.set;
  const d = lines.map(outlineOfLine).join("");
  return [
    {
      ...flat(measures, d, outline?.hex ?? node.colour),
      ...(outline
        ? {
            stroke: {
              hex: outline.hex,
              width: 2 * outline.width * size,
              dash: [],
              cap: "round",
              join: "round",
            },
          }
        : {}),
      ...(shadow ? { shadow: shadowOf(shadow, size) } : {}),
    },
  ];
}

const outlineOfLine = ({ line, x, baseline, size }: PlacedLine): string =>
  line.shaped.glyphs
    .map(({ face, glyph, x: dx, y: dy }) =>
      placedOutline(
        face.outline(glyph),
        size / face.unitsPerEm,
        x + dx * size,
        baseline - dy * size,
      ),
    )
    .join("");

/** One item for the line's own colour, and one for the words that stand out in the accent. */
function letters(measures: NodeMeasures, node: TextNode, placed: PlacedLine): GlyphsItem[] {
  const { shaped } = placed.line;
  const coloured = shaped.stretches.filter(({ kind }) => kind === "colour");
  if (coloured.length === 0) return [lettersIn(measures, node.colour, placed, shaped.glyphs)];
  const stands = (glyph: PlacedGlyph) =>
    coloured.some(({ from, to }) => glyph.x >= from - 1e-6 && glyph.x < to - 1e-6);
  return [
    lettersIn(
      measures,
      node.colour,
      placed,
      shaped.glyphs.filter((glyph) => !stands(glyph)),
    ),
    lettersIn(measures, node.accent, placed, shaped.glyphs.filter(stands)),
  ].filter(({ glyphs }) => glyphs.length > 0);
}

function lettersIn(
  measures: NodeMeasures,
  colour: Hex,
  { line, x, baseline, size }: PlacedLine,
  glyphs: readonly PlacedGlyph[],
): GlyphsItem {
  const { shaped } = line;
  const whole = glyphs.length === shaped.glyphs.length;
  return {
    ...common(measures),
    kind: "glyphs",
    text: shaped.text,
    size,
    colour,
    baseline,
    glyphs: glyphs.flatMap((glyph) => sceneGlyphs(glyph, x, baseline, size)),
    // Text of two colours on one line is kept as outlines.
    runs: whole
      ? shaped.runs.map((run): SceneRun => ({
          text: run.text,
          file: run.face.source.file,
          axes: run.face.source.axes,
          rightToLeft: run.rightToLeft,
          x: x + run.x * size,
          advance: run.advance * size,
        }))
      : [],
  };
}

function sceneGlyphs(placed: PlacedGlyph, x: number, baseline: number, size: number): SceneGlyph[] {
  const { face, glyph } = placed;
  const at = { unitsPerEm: face.unitsPerEm, x: x + placed.x * size, y: baseline - placed.y * size };
  const layers = face.layers(glyph);
  if (layers.length === 0) {
    const outline = face.outline(glyph);
    return outline ? [{ outline, ...at }] : [];
  }
  return layers.map((layer) => ({
    outline: face.outline(layer.glyph),
    ...at,
    ...(layer.colour ? { colour: layer.colour } : {}),
  }));
}
