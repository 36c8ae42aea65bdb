import type { LayoutKind, LayoutPlace, WordsLayout } from "../piece";
import { type LayoutId } from "../piece";

const KINDS: Record<LayoutKind, string> = {
  "as-arranged": "as designed",
  "nothing-fits": "nothing fits",
  "sign-alone": "sign alone",
  "picture-above": "picture above",
  "picture-between": "picture between",
  "words-alone": "words alone",
  "words-left": "words left of the picture",
  "words-right": "words right of the picture",
  "ornament-below": "ornament below",
  card: "card",
  strip: "strip",
  "strip-with-picture": "strip with picture",
  "on-the-picture": "on the picture",
  "plate-on-the-picture": "plate on the picture",
  "whole-picture": "the whole picture",
};

const WORDS: Record<(typeof WordsLayout.options)[number], string> = {
  "two-columns": "two columns",
  "foot-line": "foot line",
  stack: "stack",
  "head-and-foot": "head and foot",
  "lines-beside": "lines beside",
};

const PLACES: Record<LayoutPlace, string> = {
  below: "below",
  above: "above",
  "below-right": "below right",
  "above-right": "above right",
  middle: "in the middle",
  floor: "on the floor",
  "headline-across": "headline across",
};

const UNBADGED = "no badge";

/** A layout as a person calls it, such as “picture above, stack”. */
export const layoutName = ({ kind, words, place, unbadged }: LayoutId): string =>
  [KINDS[kind], words && WORDS[words], place && PLACES[place], unbadged && UNBADGED]
    .filter(Boolean)
    .join(", ");
