import type { Treatment } from "../brand";
import type { Hex } from "../colour";
import type { FileId } from "../files";
import type { Box, Point } from "../geometry";

/** Degrees clockwise about a point. */
export interface Turn {
  degrees: number;
  about: Point;
}

interface Item {
  node: string;
  opacity: number;
  turn?: Turn;
}

/** SVG path data in output pixels. */
export interface PathItem extends Item {
  kind: "path";
  d: string;
  fill?: Hex;
  stroke?: { hex: Hex; width: number };
  clip?: Box;
}

/** One line of one face. `outline` is SVG path data in font units, y upwards; x, y is the glyph's origin. */
export interface GlyphsItem extends Item {
  kind: "glyphs";
  text: string;
  size: number;
  colour: Hex;
  glyphs: { outline: string; unitsPerEm: number; x: number; y: number }[];
}

/** `crop` is in the picture's own pixels and fills `box` without stretching. */
export interface PictureItem extends Item {
  kind: "picture";
  file: FileId;
  vector: boolean;
  crop: Box;
  box: Box;
  treatment: Treatment;
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
