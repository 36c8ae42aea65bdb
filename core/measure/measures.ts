import { z } from "zod";
import { ATTENTION_SIDE, attentionIn, attentionOf, shrink, type Pixels } from "../attention";
import type { Box } from "../geometry";
import type { LayoutReport, NodeReport } from "../preflight";
import { balanceOf, clutterOf } from "./composition";
import { LOOK_SOURCE, lookOf } from "./look";

/** What can be measured of a finished graphic by itself; see docs/measures.md. */
export const Measures = z.object({
  /** The smallest words, as a multiple of what can be read on that placement. Absent without words. */
  legibility: z.number().optional(),
  /** The least contrast of words with what lies behind them, as a ratio (WCAG 2.2). Absent without words. */
  contrast: z.number().optional(),
  /** Shares of the predicted attention, 0..1; absent where there is no such thing. */
  headline: z.number().optional(),
  picture: z.number().optional(),
  action: z.number().optional(),
  /** Share of pixels on edges, 0..1. */
  clutter: z.number(),
  /** 1 where what is there lies about the middle, 0 where it lies in a corner. */
  balance: z.number(),
});
export type Measures = z.infer<typeof Measures>;

/** What is measured of a picture, with what it is told apart from others by. */
export const Measured = Measures.extend({ hash: z.string(), colours: z.string() });
export type Measured = z.infer<typeof Measured>;

/** Pixels a side that edges are looked for in. */
const FINE_SIDE = 96;

/** Of a layout's report and what was painted of it, at whatever scale. */
export function measure(report: LayoutReport, pixels: Pixels): Measured {
  const { nodes, floor, focus } = report;
  const words = nodes.filter((node) => node.kind === "text");
  // The smaller ones are made of the larger one, whose sides they divide.
  const fine = shrink(pixels, FINE_SIDE, FINE_SIDE);
  const coarser = (side: number) => shrink({ ...fine, channels: 3 }, side, side);
  const coarse = coarser(ATTENTION_SIDE);
  const attention = attentionOf(coarse);
  const on = (boxes: readonly Box[]): number | undefined =>
    boxes.length > 0 ? tidy(attentionIn(attention, boxes, report)) : undefined;
  return known({
    legibility: least(words.map(({ fontSize }) => fontSize && fontSize / floor)),
    contrast: least(words.map(({ contrast }) => contrast)),
    headline: on(inksOf(nodes, ["headline", "quote"])),
    picture: on(focus),
    action: on(inksOf(nodes, ["cta"])),
    clutter: tidy(clutterOf(fine)),
    balance: tidy(balanceOf(coarse)),
    ...lookOf(coarser(LOOK_SOURCE)),
  });
}

const inksOf = (nodes: readonly NodeReport[], roles: readonly string[]): Box[] =>
  nodes.filter(({ role }) => roles.includes(role)).map(({ ink }) => ink);

function least(values: readonly (number | undefined)[]): number | undefined {
  const there = values.filter((value) => value !== undefined);
  return there.length > 0 ? tidy(Math.min(...there)) : undefined;
}

/** No more digits than say something. */
const tidy = (value: number): number => Number(value.toPrecision(4));

const known = (measured: Measured): Measured =>
  Object.fromEntries(
    Object.entries(measured).filter(([, value]) => value !== undefined),
  ) as Measured;
