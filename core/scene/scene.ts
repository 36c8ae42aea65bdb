import type { Hex, Stop } from "../colour";
import type { FileId } from "../files";
import type { Box, Point } from "../geometry";
import type { Adjust, View } from "../picture";

/** Degrees clockwise about a point. */
export interface Turn {
  degrees: number;
  about: Point;
}

/** The stops stand so close that mixing between them in sRGB follows Oklab. */
export type Paint =
  | { kind: "flat"; hex: Hex }
  | { kind: "linear"; from: Point; to: Point; stops: Stop[] }
  | { kind: "radial"; centre: Point; radius: number; stops: Stop[] };

/** In output pixels; it falls the same way however its item is turned. `alpha` 0..1. */
export interface Shadow {
  hex: Hex;
  alpha: number;
  x: number;
  y: number;
  /** Twice the Gaussian's standard deviation, as in the Canvas 2D standard. */
  blur: number;
}

interface Item {
  node: string;
  opacity: number;
  turn?: Turn;
  blend?: "multiply" | "screen";
  shadow?: Shadow;
}

export interface Stroke {
  hex: Hex;
  width: number;
  dash: number[];
  cap: "butt" | "round" | "square";
  join: "round" | "miter";
}

/** SVG path data in output pixels. */
export interface PathItem extends Item {
  kind: "path";
  d: string;
  fill?: Paint;
  stroke?: Stroke;
  clip?: Box;
}

/** `outline` is SVG path data in font units, y upwards; x, y is the glyph's origin. Its own colour, where it brings one. */
export interface SceneGlyph {
  outline: string;
  unitsPerEm: number;
  x: number;
  y: number;
  colour?: { hex: Hex; alpha: number };
}

/** A stretch of text in one face, for painters that keep text as text. x is where its pen starts. */
export interface SceneRun {
  text: string;
  file: FileId;
  axes: Readonly<Record<string, number>>;
  rightToLeft: boolean;
  x: number;
  advance: number;
}

/** One colour of one line of text. */
export interface GlyphsItem extends Item {
  kind: "glyphs";
  text: string;
  size: number;
  colour: Hex;
  glyphs: SceneGlyph[];
  baseline: number;
  runs: SceneRun[];
}

/** What `view` shows of the picture fills `box` without stretching; `frame` cuts it to a shape (path data). */
export interface PictureItem extends Item {
  kind: "picture";
  file: FileId;
  box: Box;
  view: View;
  frame?: string;
  adjust: Adjust;
}

export type SceneItem = PathItem | GlyphsItem | PictureItem;

/** Everything that is painted, back to front, in output pixels at scale 1. */
export interface Scene {
  width: number;
  height: number;
  ground: Hex;
  items: SceneItem[];
}

export const scenePictures = (scene: Scene): PictureItem[] =>
  scene.items.filter((item) => item.kind === "picture");
