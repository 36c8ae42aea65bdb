import type { BrandColour } from "../brand";
import {
  CONTRAST_LARGE,
  CONTRAST_TEXT,
  contrast,
  difference,
  readableTint,
  seenWith,
  visionKinds,
  type Hex,
  type VisionKind,
} from "../colour";

/** How one colour reads on another. */
export interface Pair {
  words: BrandColour;
  ground: BrandColour;
  /** WCAG 2.2 contrast, 1 to 21. */
  ratio: number;
  reads: "text" | "large" | "no";
  /** The nearest tint or shade of the words' colour that reads as text, where it does not itself. */
  instead?: Hex;
  /** Eyes to which the two look nearly alike. */
  alikeTo: VisionKind[];
}

/** Two colours nearer than this, by CIEDE2000, are hardly told apart. Common practice. */
const ALIKE = 12;

/** Every colour of a kit on every other, row by row: what goes with what. */
export const pairsOf = (colours: readonly BrandColour[]): Pair[][] =>
  colours.map((ground) => colours.map((words) => pairOf(words, ground)));

function pairOf(words: BrandColour, ground: BrandColour): Pair {
  const ratio = contrast(words.hex, ground.hex);
  const reads = ratio >= CONTRAST_TEXT ? "text" : ratio >= CONTRAST_LARGE ? "large" : "no";
  const tint = reads === "text" ? undefined : readableTint(words.hex, ground.hex, CONTRAST_TEXT);
  const alikeTo = visionKinds.filter(
    (kind) => difference(seenWith(kind, words.hex), seenWith(kind, ground.hex)) < ALIKE,
  );
  return { words, ground, ratio, reads, ...(tint ? { instead: tint } : {}), alikeTo };
}
