import createBidi from "bidi-js";
import { RIGHT_TO_LEFT } from "../text";

const bidi = createBidi();

/** Embedding levels of a whole text by UAX #9, one for each UTF-16 unit; even is left to right. */
export function embeddingLevels(text: string): Uint8Array | undefined {
  return RIGHT_TO_LEFT.test(text) ? bidi.getEmbeddingLevels(text, "auto").levels : undefined;
}

/** Whether a text's first strong character runs from the right (rules P2 and P3). */
export const startsRight = (text: string): boolean =>
  RIGHT_TO_LEFT.test(text) &&
  (bidi.getEmbeddingLevels(text, "auto").paragraphs[0]?.level ?? 0) % 2 === 1;

/**
 * Puts the runs of one line in the order in which they stand: from the highest level down to the lowest odd
 * one, every stretch of runs at that level or higher is turned round (rule L2).
 */
export function inVisualOrder<Run extends { level: number }>(runs: readonly Run[]): Run[] {
  const ordered = [...runs];
  const levels = ordered.map((run) => run.level);
  const highest = Math.max(0, ...levels);
  const lowestOdd = Math.min(...levels.filter((level) => level % 2 === 1), highest + 1);
  for (let level = highest; level >= lowestOdd; level--) {
    for (let from = 0; from < ordered.length; from++) {
      if (ordered[from]!.level < level) continue;
      let to = from;
      while (to < ordered.length && ordered[to]!.level >= level) to++;
      ordered.splice(from, to - from, ...ordered.slice(from, to).reverse());
      from = to;
    }
  }
  return ordered;
}
