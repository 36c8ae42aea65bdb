import type { Bent } from "../refit";
import type { TextNode } from "../resolve";
import { turnedOutline } from "../shape";
import type { PlacedGlyph } from "../type";
import { shadowOf } from "./figures";
import { common, type NodeMeasures } from "./measures";
import type { PathItem } from "./scene";

/** A line along a circle, as outlines: one for its own colour, and one for the words that stand out in the accent. */
export function bentItems(measures: NodeMeasures, node: TextNode, bent: Bent): PathItem[] {
  const { set } = measures.placed.text!;
  const { shaped } = set.lines[0]!;
  const coloured = shaped.stretches.filter(({ kind }) => kind === "colour");
  const standsOut = (glyph: PlacedGlyph): boolean =>
    coloured.some(({ from, to }) => glyph.x >= from - 1e-6 && glyph.x < to - 1e-6);
  const length = set.width;
  const all = (glyphs: readonly PlacedGlyph[]): string =>
    glyphs.map((glyph) => outlineOf(glyph, set.size, length, bent)).join("");
  const flat = (d: string, hex: string): PathItem => ({
    ...common(measures),
    kind: "path",
    d,
    fill: { kind: "flat", hex },
  });
  const accented = shaped.glyphs.filter(standsOut);
  return [
    ...behind(measures, node, all(shaped.glyphs)),
    flat(all(shaped.glyphs.filter((glyph) => !standsOut(glyph))), node.colour),
    ...(accented.length > 0 ? [flat(all(accented), node.accent)] : []),
  ];
}

/** The shadow and the outline of all letters at once, so that neighbours do not darken each other. */
function behind(
  measures: NodeMeasures,
  { shadow, outline, colour }: TextNode,
  d: string,
): PathItem[] {
  if (!shadow && !outline) return [];
  const { size } = measures.placed.text!.set;
  const line = outline && { hex: outline.hex, width: 2 * outline.width * size };
  return [
    {
      ...common(measures),
      kind: "path",
      d,
      fill: { kind: "flat", hex: outline?.hex ?? colour },
      ...(line ? { stroke: { ...line, dash: [], cap: "round", join: "round" } } : {}),
      ...(shadow ? { shadow: shadowOf(shadow, size) } : {}),
    },
  ];
}

/** A letter upright at the end of the circle that the line's middle is at, turned to its own place. */
function outlineOf(
  { face, glyph, x, y }: PlacedGlyph,
  size: number,
  length: number,
  { about, radius, inside }: Bent,
): string {
  const outline = face.outline(glyph);
  const ink = face.ink(glyph);
  if (!outline || !ink) return "";
  const middle = ((ink.left + ink.right) / 2) * size;
  const along = x * size + middle - length / 2;
  const turn = ((inside ? -1 : 1) * (along / radius) * 180) / Math.PI;
  const baseline = about.y + (inside ? radius : -radius) - y * size;
  const at = { x: about.x - middle, y: baseline };
  return turnedOutline(outline, size / face.unitsPerEm, at, turn, about);
}
