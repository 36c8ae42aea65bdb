/** Offers that are told apart by their ground and ordered by their cost. */
interface Ranked {
  cost: number;
  ground: string;
}

/** So many are looked at first, and no two of them stand on the same ground where that can be had. */
const FIRST = 3;
/** What is this much dearer is not brought forward for its ground alone. By eye, in the layouts' measure of cost. */
const MOST_DEARER = 2.5;

/** The best first; of the first three, each on another ground. */
export function inOrder<T extends Ranked>(offers: readonly T[]): T[] {
  const rest = [...offers].sort((a, b) => a.cost - b.cost);
  const first: T[] = [];
  while (first.length < FIRST && rest.length > 0) {
    const taken = new Set(first.map(({ ground }) => ground));
    const most = rest[0]!.cost + MOST_DEARER;
    const other = rest.findIndex(({ ground, cost }) => !taken.has(ground) && cost <= most);
    first.push(...rest.splice(Math.max(0, other), 1));
  }
  return [...first, ...rest];
}
