import { percent } from "../wording/numbers";
import type { Analysis, ColumnEffect, Rated } from "./schema";

const within = ({ low, high }: Rated): string => `(between ${percent(low)} and ${percent(high)})`;

const whole = (count: number): string => count.toLocaleString("en");

/** Two figures are enough of what is only reckoned. */
const about = (count: number): string => whole(Number(count.toPrecision(2)));

/** What can and cannot be concluded of the variations, in sentences. `nameOf` is what a person calls one. */
export function sayVariations(
  { variations, tied, shown, acted }: Analysis,
  nameOf: (variation: number) => string,
): string[] {
  const [first] = variations;
  if (!first) return [];
  const what = `${acted.toLowerCase()} on ${percent(first.rate)} of ${shown.toLowerCase()}`;
  const best = `${nameOf(first.variation)} did best, with ${what} ${within(first)}.`;
  const others = variations.length - 1;
  if (others === 0) return [best, "There is nothing to compare it with."];
  if (tied === 0)
    return [best, "It is better than each of the others by more than chance explains."];
  const which = tied === others ? `any of the other ${others}` : `${tied} of the other ${others}`;
  return [best, `It cannot be told apart from ${which}: such differences may well be chance.`];
}

/** What can and cannot be concluded of a column's values. */
export function sayColumn({ values, comparisons, isBalanced, column }: ColumnEffect): string[] {
  const [first] = values;
  const last = values.at(-1);
  if (!first || !last) return [];
  const clear = comparisons.filter(({ isClear, better }) => isClear && better === first.value);
  const beaten =
    clear.length > 1 && clear.length === values.length - 1
      ? "all the others"
      : listed(clear.map(({ worse }) => worse));
  const head =
    clear.length === 0
      ? `No ${column} is better than the others by more than chance explains.`
      : `“${first.value}” did better than ${beaten}: ${percent(first.rate)} against ${range(values, clear)}.`;
  const open = comparisons.find(({ isClear, better }) => !isClear && better === first.value);
  return [
    head,
    ...(open ? [sayOpen(open)] : []),
    ...(isBalanced
      ? []
      : [
          `Not every ${column} ran beside the same others, so what did better may be what stood beside it.`,
        ]),
  ];
}

function sayOpen({ better, worse, more }: ColumnEffect["comparisons"][number]): string {
  const what = `Between “${better}” and “${worse}” nothing can be said yet`;
  return more === undefined
    ? `${what}; they are too near each other for any number that could be shown.`
    : `${what}; if the difference is what it looks like, about ${about(more)} more of each would show it four times in five.`;
}

const listed = (values: readonly string[]): string => {
  const quoted = values.map((value) => `“${value}”`);
  const last = quoted.pop()!;
  return quoted.length > 0 ? `${quoted.join(", ")} and ${last}` : last;
};

function range(values: ColumnEffect["values"], clear: readonly { worse: string }[]): string {
  const rates = values
    .filter(({ value }) => clear.some(({ worse }) => worse === value))
    .map(({ rate }) => rate);
  const [most, least] = [Math.max(...rates), Math.min(...rates)];
  return percent(most) === percent(least) ? percent(most) : `${percent(least)} to ${percent(most)}`;
}
