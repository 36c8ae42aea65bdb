import { coverPairs, OPEN, type Allowed, type Row } from "./covering";
import { merged } from "./choice";
import { factorsOf, type Combining, type Factor } from "./factors";
import type { Variation } from "./variation";

/** More are not counted one by one where conditions leave some out. */
const MOST_COUNTED = 200_000;

/** How many variations come out; where there are very many, how many there would be without conditions. */
export function countVariations(combining: Combining): number {
  const factors = factorsOf(combining);
  const mixes = factors.reduce((n, { choices }) => n * choices.length, 1);
  const isPlain = !combining.never?.length && combining.sample !== "pairs";
  if (factors.length === 0 || isPlain || mixes > MOST_COUNTED)
    return factors.length === 0 ? 0 : mixes;
  let count = 0;
  for (const _ of rowsOf(combining, factors)) count++;
  return count;
}

/**
 * In step: row by row; what is shorter comes round again. Every mix: each value of each column with each of the others;
 * the first column changes slowest. Together: columns of a group in step, groups mixed. Without the mixes that are never
 * to be; as a sample of pairs, in so few that every pair of values is there.
 */
export function* combine(combining: Combining): Generator<Variation> {
  const factors = factorsOf(combining);
  for (const row of rowsOf(combining, factors))
    yield merged(row.map((choice, factor) => factors[factor]!.choices[choice])).change;
}

function* rowsOf({ never = [], sample }: Combining, factors: readonly Factor[]): Generator<Row> {
  if (factors.length === 0) return;
  const allowed = allowedBy(never, factors);
  const sizes = factors.map(({ choices }) => choices.length);
  if (sample === "pairs") yield* coverPairs(sizes, allowed);
  else yield* mixes(sizes, allowed, []);
}

function* mixes(sizes: readonly number[], allowed: Allowed, begun: Row): Generator<Row> {
  if (begun.length === sizes.length) {
    yield begun;
    return;
  }
  for (let choice = 0; choice < sizes[begun.length]!; choice++) {
    const row = [...begun, choice];
    if (allowed(row)) yield* mixes(sizes, allowed, row);
  }
}

/** A row may be when no condition holds whole; one that is only begun may still be. */
function allowedBy(never: NonNullable<Combining["never"]>, factors: readonly Factor[]): Allowed {
  const conditions = never.flatMap((condition) => {
    const columns = Object.entries(condition);
    const isKnown = columns.every(([column]) =>
      factors.some((one) => one.columns.includes(column)),
    );
    if (!isKnown || columns.length === 0) return [];
    return [
      factors.flatMap(({ columns: own, choices }, factor) => {
        const mine = columns.filter(([column]) => own.includes(column));
        if (mine.length === 0) return [];
        const meant = choices.map(({ keys }) => mine.every(([name, key]) => keys[name] === key));
        return [{ factor, meant }];
      }),
    ];
  });
  return (row) =>
    !conditions.some((parts) =>
      parts.every(({ factor, meant }) => {
        const choice = row[factor] ?? OPEN;
        return choice !== OPEN && meant[choice];
      }),
    );
}
