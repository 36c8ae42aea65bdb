import jstat from "jstat";

const { normal, gammaln } = jstat.jStat;

/** So many of so many: clicks of impressions. */
export interface Proportion {
  acted: number;
  shown: number;
}

export interface Interval {
  low: number;
  high: number;
}

/** Two-sided, 95 %: common practice. */
export const CONFIDENCE = 0.95;
/** Chance of finding a difference that is there: common practice. */
export const POWER = 0.8;
/** With fewer than so many expected in a cell the normal approximation is not trusted (Cochran 1954, from memory). */
const LEAST_EXPECTED = 5;

export const rateOf = ({ acted, shown }: Proportion): number => (shown > 0 ? acted / shown : 0);

/** The standard normal distribution, and its inverse. */
const below = (z: number): number => normal.cdf(z, 0, 1);
const quantile = (p: number): number => normal.inv(p, 0, 1);

const zFor = (confidence: number): number => quantile(1 - (1 - confidence) / 2);

/**
 * Wilson's score interval for a proportion, 0..1 (E. B. Wilson, “Probable inference, the law of succession, and
 * statistical inference”, Journal of the American Statistical Association, 1927). All of 0..1 where nothing was shown.
 */
export function wilson({ acted, shown }: Proportion, confidence = CONFIDENCE): Interval {
  if (shown === 0) return { low: 0, high: 1 };
  const z2 = zFor(confidence) ** 2;
  const rate = acted / shown;
  const middle = (rate + z2 / (2 * shown)) / (1 + z2 / shown);
  const half =
    (Math.sqrt(z2) / (1 + z2 / shown)) *
    Math.sqrt((rate * (1 - rate)) / shown + z2 / (4 * shown * shown));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/**
 * The chance that two proportions differ at least as much when there is no difference, two-sided: the pooled z test,
 * and Fisher's exact test where few are expected. 1 where nothing can be told.
 */
export function pOfDifference(a: Proportion, b: Proportion): number {
  const shown = a.shown + b.shown;
  const pooled = (a.acted + b.acted) / shown;
  if (a.shown === 0 || b.shown === 0 || pooled === 0 || pooled === 1) return 1;
  const fewest = Math.min(a.shown, b.shown) * Math.min(pooled, 1 - pooled);
  if (fewest < LEAST_EXPECTED) return fisher(a, b);
  const error = Math.sqrt(pooled * (1 - pooled) * (1 / a.shown + 1 / b.shown));
  return 2 * below(-Math.abs(rateOf(a) - rateOf(b)) / error);
}

/**
 * Fisher's exact test, two-sided: the sum over all tables of the same margins that are no likelier than this one
 * (R. A. Fisher, “The Design of Experiments”, 1935).
 */
export function fisher(a: Proportion, b: Proportion): number {
  const [acted, shown] = [a.acted + b.acted, a.shown + b.shown];
  const chance = (x: number): number =>
    Math.exp(logChoose(a.shown, x) + logChoose(b.shown, acted - x) - logChoose(shown, acted));
  const own = chance(a.acted);
  let p = 0;
  for (let x = Math.max(0, acted - b.shown); x <= Math.min(acted, a.shown); x++) {
    const each = chance(x);
    // Equal chances may come out a hair apart.
    if (each <= own * (1 + 1e-7)) p += each;
  }
  return Math.min(1, p);
}

const logChoose = (n: number, k: number): number =>
  gammaln(n + 1) - gammaln(k + 1) - gammaln(n - k + 1);

/**
 * P values corrected for how many comparisons were made, in the order given (S. Holm, “A simple sequentially
 * rejective multiple test procedure”, Scandinavian Journal of Statistics, 1979).
 */
export function holm(ps: readonly number[]): number[] {
  const order = ps.map((p, index) => ({ p, index })).sort((a, b) => a.p - b.p);
  const adjusted: number[] = [];
  let least = 0;
  for (const [rank, { p, index }] of order.entries()) {
    least = Math.max(least, Math.min(1, (ps.length - rank) * p));
    adjusted[index] = least;
  }
  return adjusted;
}

/**
 * How often each of two must be shown so that their difference, if it is as given, is found with that power at that
 * level: the usual formula for comparing two proportions (J. L. Fleiss, “Statistical Methods for Rates and
 * Proportions”, 1981, without its continuity correction). Infinite for no difference.
 */
export function neededEach(a: number, b: number, level = 1 - CONFIDENCE, power = POWER): number {
  if (a === b) return Infinity;
  const middle = (a + b) / 2;
  const noDifference = quantile(1 - level / 2) * Math.sqrt(2 * middle * (1 - middle));
  const difference = quantile(power) * Math.sqrt(a * (1 - a) + b * (1 - b));
  return ((noDifference + difference) / (a - b)) ** 2;
}
