import { z } from "zod";
import type { Measures } from "../measure";

/** What variations are ranked by: each is measured of the finished graphic and shown as its own column; see docs/measures.md. */
export const Criterion = z.enum([
  "legibility",
  "contrast",
  "headline",
  "picture",
  "action",
  "clutter",
  "balance",
  "distinctness",
]);
export type Criterion = z.infer<typeof Criterion>;

/** What was measured of one variation on one placement, with how far it is from the one that is most like it. */
export type Marks = Measures & { distinctness?: number };

interface About {
  name: string;
  /** What is better of it. */
  better: "more" | "less";
  /** Values that are nearer to each other than this are the same to a person. By eye. */
  step: number;
  say: (value: number) => string;
  about: string;
}

const share = (value: number): string => `${(100 * value).toFixed(1)} %`;

export const CRITERIA: Readonly<Record<Criterion, About>> = {
  legibility: {
    name: "Legibility",
    better: "more",
    step: 0.05,
    say: (value) => `${value.toFixed(2)} ×`,
    about: "The smallest words, as a multiple of the least size that can be read there",
  },
  contrast: {
    name: "Contrast",
    better: "more",
    step: 0.5,
    say: (value) => `${value.toFixed(1)} : 1`,
    about: "The least contrast of words with what lies behind them",
  },
  headline: {
    name: "Eyes on headline",
    better: "more",
    step: 0.01,
    say: share,
    about: "Share of the predicted attention that falls on the headline",
  },
  picture: {
    name: "Eyes on picture",
    better: "more",
    step: 0.01,
    say: share,
    about: "Share of the predicted attention that falls on what the picture shows",
  },
  action: {
    name: "Eyes on action",
    better: "more",
    step: 0.005,
    say: share,
    about: "Share of the predicted attention that falls on the call to action",
  },
  clutter: {
    name: "Clutter",
    better: "less",
    step: 0.01,
    say: share,
    about: "Share of the graphic that is edges",
  },
  balance: {
    name: "Balance",
    better: "more",
    step: 0.02,
    say: (value) => value.toFixed(2),
    about: "How near the weight of all that is there lies to the middle, at most 1",
  },
  distinctness: {
    name: "Distinctness",
    better: "more",
    step: 0.5,
    say: (value) => `ΔE ${value.toFixed(1)}`,
    about: "How far its colours are from those of the variation that is most like it",
  },
};
