import type { Analysis } from "./schema";

/**
 * For each column that varied, the values that may be the best: the one that did best, and those that it did not clearly
 * beat. Of a column in which each variation has a value of its own, those of the variations that may be the best.
 */
export function bestValues(
  { columns, variations, tied }: Analysis,
  valuesOf: (variation: number) => Readonly<Record<string, string>>,
): Record<string, string[]> {
  const ofBest = variations.slice(0, 1 + tied).map(({ variation }) => valuesOf(variation));
  const all = variations.map(({ variation }) => valuesOf(variation));
  const names = [...new Set(all.flatMap(Object.keys))];
  const best = names.flatMap((column): [string, string[]][] => {
    if (new Set(all.map((values) => values[column])).size < 2) return [];
    const effect = columns.find((one) => one.column === column);
    if (!effect) return [[column, [...new Set(ofBest.flatMap((values) => values[column] ?? []))]]];
    const [first] = effect.values;
    const beaten = effect.comparisons.filter(
      ({ better, isClear }) => isClear && better === first?.value,
    );
    const isBeaten = (value: string): boolean => beaten.some(({ worse }) => worse === value);
    return [[column, effect.values.map(({ value }) => value).filter((value) => !isBeaten(value))]];
  });
  return Object.fromEntries(best);
}
