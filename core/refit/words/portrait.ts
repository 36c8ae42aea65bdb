import { box, type Box } from "../../geometry";
import type { TextNode } from "../../resolve";
import type { SetText } from "../../type";
import type { Block } from "./block";

/** Across the circle, and between it and the words; em of these. By eye: as high as two lines and a little. */
const FACE = 3;
const GAP = 0.8;

/** What the face takes beside its words, in em. */
export const besideFace = ({ portrait }: TextNode): number => (portrait ? FACE + GAP : 0);

/** Where the face stands: before the words, in the middle of their height. */
export function faceBox({ set: { size }, ink }: { set: SetText; ink: Box }): Box {
  const side = FACE * size;
  return box(ink.x - (FACE + GAP) * size, ink.y + (ink.height - side) / 2, side, side);
}

/** A block of words with the face before them. */
export function withFace(node: TextNode, words: Block, size: number): Block {
  if (!node.portrait) return words;
  const [beside, side] = [besideFace(node) * size, FACE * size];
  const [width, height] = [words.width + beside, Math.max(words.height, side)];
  const down = (height - words.height) / 2;
  return {
    ...words,
    width,
    height,
    baseline: words.baseline + down,
    place: (x, y) =>
      words
        .place(x + beside, y + down)
        .map((item) => (item.node === node ? { ...item, box: box(x, y, width, height) } : item)),
  };
}
