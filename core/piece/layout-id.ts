import { z } from "zod";

/** How a size is laid out as a whole. */
export const LayoutKind = z.enum([
  "as-arranged",
  "nothing-fits",
  "sign-alone",
  "picture-above",
  "picture-between",
  "words-alone",
  "words-left",
  "words-right",
  "ornament-below",
  "card",
  "strip",
  "strip-with-picture",
  "on-the-picture",
  "plate-on-the-picture",
  "whole-picture",
]);
export type LayoutKind = z.infer<typeof LayoutKind>;

/** How its words stand among themselves. */
export const WordsLayout = z.enum([
  "two-columns",
  "foot-line",
  "stack",
  "head-and-foot",
  "lines-beside",
]);

/** Where words stand on a picture; `floor`: what is cut out stands on the lower edge; `headline-across`: so it does below the headline. */
export const LayoutPlace = z.enum([
  "below",
  "above",
  "below-right",
  "above-right",
  "middle",
  "floor",
  "headline-across",
]);
export type LayoutPlace = z.infer<typeof LayoutPlace>;

/** Which layout a size has. What it is called stands in `wording/layouts.ts`. */
export const LayoutId = z.object({
  kind: LayoutKind,
  words: WordsLayout.optional(),
  place: LayoutPlace.optional(),
  /** What would be in a badge stands among the words. */
  unbadged: z.literal(true).optional(),
});
export type LayoutId = z.infer<typeof LayoutId>;

export const sameLayout = (a: LayoutId | undefined, b: LayoutId | undefined): boolean =>
  a?.kind === b?.kind &&
  a?.words === b?.words &&
  a?.place === b?.place &&
  a?.unbadged === b?.unbadged;

/** As one word, to be looked up by. */
export const layoutKey = ({ kind, words, place, unbadged }: LayoutId): string =>
  [kind, words, place, unbadged && "unbadged"].filter(Boolean).join("/");
