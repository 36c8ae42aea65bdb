import { groups } from "d3-array";
import type { Analysis, ColumnEffect, Comparison, Rated, Results } from "../results";
import {
  CONFIDENCE,
  holm,
  neededEach,
  pOfDifference,
  rateOf,
  wilson,
  type Proportion,
} from "./proportions";

/** Nobody waits for more than this, each. */
const MOST_MORE = 10_000_000;
/** A column in which every variation has a value of its own says nothing that the variations do not. */
const MOST_VALUES = 40;

type Counted = Proportion & { values: Readonly<Record<string, string>> };

/** What the counts say of the variations and of each column's values; `valuesOf` gives a variation's values by column. */
export function analyse(
  { shown, acted, counts }: Results,
  valuesOf: (variation: number) => Readonly<Record<string, string>>,
): Analysis {
  const counted = counts.map((count) => ({ ...count, values: valuesOf(count.variation) }));
  const variations = counts
    .map((count) => ({ variation: count.variation, ...rated(count) }))
    .sort(bestFirst);
  const columns = [...new Set(counted.flatMap(({ values }) => Object.keys(values)))];
  return {
    shown,
    acted,
    all: rated(sum(counted)),
    variations,
    tied: tiedWithFirst(variations),
    columns: columns.flatMap((column) => effectOf(column, counted) ?? []),
  };
}

const rated = ({ acted, shown }: Proportion): Rated => ({
  acted,
  shown,
  rate: rateOf({ acted, shown }),
  ...wilson({ acted, shown }),
});

const bestFirst = (a: Rated, b: Rated): number => b.rate - a.rate || b.shown - a.shown;

const sum = (counts: readonly Proportion[]): Proportion => ({
  acted: counts.reduce((total, { acted }) => total + acted, 0),
  shown: counts.reduce((total, { shown }) => total + shown, 0),
});

/** How many, beside the first, may well be as good: compared with it alone, corrected for how many there are. */
function tiedWithFirst([first, ...rest]: readonly Rated[]): number {
  if (!first) return 0;
  return holm(rest.map((one) => pOfDifference(first, one))).filter((p) => p >= 1 - CONFIDENCE)
    .length;
}

/** Undefined where the column has one value only, or one for each variation. */
function effectOf(column: string, counted: readonly Counted[]): ColumnEffect | undefined {
  const parts = groups(counted, ({ values }) => values[column] ?? "");
  const isOwn = parts.length > 2 && parts.length === counted.length;
  if (parts.length < 2 || parts.length > MOST_VALUES || isOwn) return undefined;
  const values = parts
    .map(([value, group]) => ({ value, variations: group.length, ...rated(sum(group)) }))
    .sort(bestFirst);
  return {
    column,
    values,
    comparisons: compared(values),
    isBalanced: isBalanced(
      column,
      parts.map(([, group]) => group),
    ),
  };
}

/** Each value against each that did worse. */
function compared(values: readonly (Rated & { value: string })[]): Comparison[] {
  const pairs = values.flatMap((better, i) =>
    values.slice(i + 1).map((worse) => ({ better, worse })),
  );
  const ps = holm(pairs.map(({ better, worse }) => pOfDifference(better, worse)));
  return pairs.map(({ better, worse }, index) => {
    const p = ps[index]!;
    const isClear = p < 1 - CONFIDENCE;
    const more = isClear ? undefined : moreFor(better, worse, pairs.length);
    const names = { better: better.value, worse: worse.value };
    return { ...names, p, isClear, ...(more === undefined ? {} : { more }) };
  });
}

/** As many comparisons as there are share one level: Bonferroni's share, which is safe beside Holm's. */
function moreFor(better: Rated, worse: Rated, comparisons: number): number | undefined {
  const needed = neededEach(better.rate, worse.rate, (1 - CONFIDENCE) / comparisons);
  const more = Math.ceil(needed - Math.min(better.shown, worse.shown));
  return more > 0 && more <= MOST_MORE ? more : undefined;
}

/** Whether the values of a column stand beside the same values of the other columns, equally often. */
function isBalanced(column: string, parts: readonly (readonly Counted[])[]): boolean {
  const others = (group: readonly Counted[]): string =>
    group
      .map(({ values }) => JSON.stringify({ ...values, [column]: "" }, Object.keys(values).sort()))
      .sort()
      .join("\n");
  const [first, ...rest] = parts.map(others);
  return rest.every((one) => one === first);
}
