import { z } from "zod";

/** How often each variation was shown and acted on, and what the two are called. */
export const Results = z.object({
  shown: z.string().min(1).max(200),
  acted: z.string().min(1).max(200),
  /** By the variation's number, from 0. */
  counts: z
    .array(
      z.object({
        variation: z.number().int().min(0),
        shown: z.number().int().min(0),
        acted: z.number().int().min(0),
      }),
    )
    .min(1),
});
export type Results = z.infer<typeof Results>;

const Rated = z.object({
  shown: z.number(),
  acted: z.number(),
  /** Share of those shown, 0..1, with its 95 % interval. */
  rate: z.number(),
  low: z.number(),
  high: z.number(),
});
export type Rated = z.infer<typeof Rated>;

/** Two values of a column against each other. */
export const Comparison = z.object({
  better: z.string(),
  worse: z.string(),
  /** The chance of such a difference without a cause, corrected for all comparisons of its column. */
  p: z.number(),
  isClear: z.boolean(),
  /** How often each must still be shown, if the difference is what it looks like; absent where that is no use. */
  more: z.number().int().optional(),
});
export type Comparison = z.infer<typeof Comparison>;

export const ColumnEffect = z.object({
  column: z.string(),
  /** The best first. */
  values: z.array(z.object({ value: z.string(), variations: z.number().int(), ...Rated.shape })),
  comparisons: z.array(Comparison),
  /** Whether each value ran with the same others, so that what differs is the value alone. */
  isBalanced: z.boolean(),
});
export type ColumnEffect = z.infer<typeof ColumnEffect>;

export const Analysis = z.object({
  shown: z.string(),
  acted: z.string(),
  all: Rated,
  /** The best first. */
  variations: z.array(z.object({ variation: z.number().int(), ...Rated.shape })),
  /** How many of the best cannot be told apart from the first. */
  tied: z.number().int(),
  columns: z.array(ColumnEffect),
});
export type Analysis = z.infer<typeof Analysis>;
