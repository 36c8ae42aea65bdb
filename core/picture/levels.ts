import type { Box } from "../geometry";

/**
 * Widths, in pixels, in which pictures are kept ready. Browser and server sample from the same one, so that
 * they paint the same pixels.
 */
const LEVELS = [320, 640, 1280, 2560];

interface Whole {
  width: number;
  vector: boolean;
}

/**
 * The width of the copy from which a picture is shown `wide` pixels wide as a whole: the next larger level,
 * or its own width when it has no more. A vector has as many pixels as it is asked for.
 */
export function levelFor(picture: Whole, wide: number): number {
  const level = LEVELS.find((width) => width >= wide);
  if (picture.vector) return level ?? LEVELS.at(-1)!;
  return Math.min(level ?? picture.width, picture.width);
}

/** The picture as a whole, for a first sight while the right level is on its way. */
export const draftLevel = (picture: Whole): number => levelFor(picture, LEVELS[1]!);

/** Output pixels that the whole picture would take, when `crop` of it fills `box` at that scale. */
export const wholeWidth = (picture: Whole, crop: Box, box: Box, scale: number): number =>
  (box.width * scale * picture.width) / crop.width;

/** The whole output pixels that a box is painted on, at `scale` output pixels a pixel. */
export function pixelBox(b: Box, scale: number): Box {
  const edge = (value: number): number => Math.round(value * scale);
  const [x, y] = [edge(b.x), edge(b.y)];
  return {
    x,
    y,
    width: Math.max(1, edge(b.x + b.width) - x),
    height: Math.max(1, edge(b.y + b.height) - y),
  };
}
