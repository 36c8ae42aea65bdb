import { CRITERIA, Criterion, type Marks } from "./criteria";

export type Weights = Readonly<Partial<Record<Criterion, number>>>;

export interface Ranked {
  index: number;
  marks: Marks;
}

/** Negative where less is better, so that more always is. */
const worth = (criterion: Criterion, marks: Marks): number | undefined => {
  const value = marks[criterion];
  return value === undefined ? undefined : CRITERIA[criterion].better === "more" ? value : -value;
};

/** The criteria that all of them were measured for. */
export const sharedCriteria = (all: readonly Ranked[]): Criterion[] =>
  Criterion.options.filter(
    (criterion) => all.length > 0 && all.every(({ marks }) => marks[criterion] !== undefined),
  );

/** From the best by one criterion on; those without a value last, in their order. */
export function byCriterion<T extends Ranked>(all: readonly T[], criterion: Criterion): T[] {
  const value = ({ marks }: T): number => worth(criterion, marks) ?? -Infinity;
  return [...all].sort((a, b) => Number(value(b) > value(a)) - Number(value(b) < value(a)));
}

/**
 * How each stands by the weights, 0..1: the weighted mean of where its values lie between the worst and the best of all.
 * Criteria that not all have, or that all have alike, do not count.
 */
export function scores(all: readonly Ranked[], weights: Weights): number[] {
  const counted = sharedCriteria(all).flatMap((criterion) => {
    const weight = weights[criterion] ?? 0;
    const values = all.map(({ marks }) => worth(criterion, marks)!);
    const [least, most] = [Math.min(...values), Math.max(...values)];
    return weight > 0 && most > least
      ? [{ weight, shares: values.map((value) => (value - least) / (most - least)) }]
      : [];
  });
  const sum = counted.reduce((total, { weight }) => total + weight, 0);
  return all.map((_, at) =>
    sum === 0
      ? 0
      : counted.reduce((total, { weight, shares }) => total + weight * shares[at]!, 0) / sum,
  );
}

/**
 * Those that no other beats: none is at least as good by every criterion and better by one, among those given (Pareto's
 * order). Differences that a person would not see are none.
 */
export function frontRunners(
  all: readonly Ranked[],
  criteria: readonly Criterion[],
): ReadonlySet<number> {
  const used = criteria.filter((one) => sharedCriteria(all).includes(one));
  const steps = all.map(({ marks }) =>
    used.map((criterion) => Math.round(worth(criterion, marks)! / CRITERIA[criterion].step)),
  );
  const beats = (a: readonly number[], b: readonly number[]): boolean =>
    a.every((value, i) => value >= b[i]!) && a.some((value, i) => value > b[i]!);
  const front = all.filter((_, at) => !steps.some((other) => beats(other, steps[at]!)));
  return new Set(used.length > 0 ? front.map(({ index }) => index) : []);
}

/** What is said of the first in the order that is shown. `names` are what people call the variations, by number. */
export function whyFirst(
  all: readonly Ranked[],
  by: Criterion | Weights,
  nameOf: (index: number) => string,
): string | undefined {
  if (typeof by === "string") return whyByCriterion(all, by, nameOf);
  const points = scores(all, by);
  const best = Math.max(...points);
  const first = all[points.indexOf(best)];
  const used = sharedCriteria(all).filter((criterion) => (by[criterion] ?? 0) > 0);
  if (!first || used.length === 0) return undefined;
  const places = used.map((criterion) => ({ criterion, place: placeOf(first, all, criterion) }));
  const said = places
    .sort((a, b) => a.place - b.place)
    .map(({ criterion, place }) => {
      const { name, say } = CRITERIA[criterion];
      return `${name.toLowerCase()} ${ordinal(place)} (${say(first.marks[criterion]!)})`;
    });
  return `${nameOf(first.index)} is first with these weights; of ${all.length} it is by ${listed(said)}.`;
}

function whyByCriterion(
  all: readonly Ranked[],
  criterion: Criterion,
  nameOf: (index: number) => string,
): string | undefined {
  const measured = all.filter(({ marks }) => marks[criterion] !== undefined);
  const order = byCriterion(measured, criterion);
  const first = order[0];
  if (!first) return undefined;
  const middle = order[Math.floor(order.length / 2)]!;
  const { name, say } = CRITERIA[criterion];
  const [best, usual] = [first, middle].map(({ marks }) => say(marks[criterion]!));
  return best === usual
    ? `By ${name.toLowerCase()} there is nothing between them: ${best}.`
    : `${nameOf(first.index)} is first by ${name.toLowerCase()}: ${best}; the one in the middle has ${usual}.`;
}

/** From 1; those that are the same to a person share a place. */
function placeOf(one: Ranked, all: readonly Ranked[], criterion: Criterion): number {
  const { step } = CRITERIA[criterion];
  const own = worth(criterion, one.marks)!;
  return 1 + all.filter(({ marks }) => worth(criterion, marks)! > own + step / 2).length;
}

const ordinal = (place: number): string => {
  const tens = place % 100;
  const ending = tens > 10 && tens < 14 ? "th" : (["th", "st", "nd", "rd"][place % 10] ?? "th");
  return `${place}${ending}`;
};

const listed = (said: readonly string[]): string =>
  said.length < 2 ? (said[0] ?? "") : `${said.slice(0, -1).join(", ")} and ${said.at(-1)!}`;
