import { z } from "zod";

/** What a typeface may offer beyond its plain letters, by names that a person would use. */
export const TypeFeature = z.enum([
  "tabular-figures",
  "lining-figures",
  "old-style-figures",
  "small-capitals",
  "fractions",
  "slashed-zero",
  "swashes",
  "alternates",
  "no-ligatures",
  "no-kerning",
  "set-1",
  "set-2",
  "set-3",
  "set-4",
  "set-5",
]);
export type TypeFeature = z.infer<typeof TypeFeature>;

/** An OpenType feature tag and its value; 0 switches it off. */
export type FeatureValue = readonly [tag: string, value: number];

/** Tags of the OpenType feature registry. */
const tags: Record<TypeFeature, readonly FeatureValue[]> = {
  "tabular-figures": [["tnum", 1]],
  "lining-figures": [["lnum", 1]],
  "old-style-figures": [["onum", 1]],
  "small-capitals": [["smcp", 1]],
  fractions: [["frac", 1]],
  "slashed-zero": [["zero", 1]],
  swashes: [["swsh", 1]],
  alternates: [["salt", 1]],
  "no-ligatures": [
    ["liga", 0],
    ["clig", 0],
  ],
  "no-kerning": [["kern", 0]],
  "set-1": [["ss01", 1]],
  "set-2": [["ss02", 1]],
  "set-3": [["ss03", 1]],
  "set-4": [["ss04", 1]],
  "set-5": [["ss05", 1]],
};

/** Letters this far apart (em) are no longer joined by ligatures, as CSS Text 3 asks of spaced text. */
const LOOSE = 0.03;

export function featureValues(
  features: readonly TypeFeature[],
  tracking: number,
): readonly FeatureValue[] {
  const wanted = features.flatMap((feature) => tags[feature]);
  return tracking >= LOOSE ? [...wanted, ...tags["no-ligatures"]] : wanted;
}
