/** How much of its weight a sentence passes on, and when to stop, as in the paper. */
const DAMPING = 0.85;
const SETTLED = 1e-4;
const MOST_ROUNDS = 200;

/**
 * How much each sentence says of the whole: TextRank, a walk from sentence to sentence along the words that they share
 * (Mihalcea and Tarau, TextRank: Bringing Order into Texts, EMNLP 2004). `sentences` are sets of words; weights sum to 1.
 */
export function rank(sentences: readonly ReadonlySet<string>[]): number[] {
  const links = sentences.map((a, i) => sentences.map((b, j) => (i === j ? 0 : likeness(a, b))));
  return walk(links);
}

/** Words in common, against the lengths of both (section 4.1 of the paper). */
export function likeness(a: ReadonlySet<string>, b: ReadonlySet<string>): number {
  if (a.size < 2 || b.size < 2) return 0;
  let shared = 0;
  for (const word of a) if (b.has(word)) shared++;
  return shared / (Math.log(a.size) + Math.log(b.size));
}

/** Weights of the nodes of a graph by its links, n × n; those without any pass theirs on to all. */
export function walk(links: readonly (readonly number[])[]): number[] {
  const count = links.length;
  const sums = links.map((row) => row.reduce((sum, link) => sum + link, 0));
  let weights = links.map(() => 1 / count);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const idle = weights.reduce((sum, weight, i) => sum + (sums[i] === 0 ? weight : 0), 0);
    const next = links.map((_, i) => {
      const passed = weights.reduce(
        (sum, weight, j) => sum + (sums[j]! > 0 ? (weight * links[j]![i]!) / sums[j]! : 0),
        0,
      );
      return (1 - DAMPING) / count + DAMPING * (passed + idle / count);
    });
    const moved = next.reduce((sum, weight, i) => sum + Math.abs(weight - weights[i]!), 0);
    weights = next;
    if (moved < SETTLED / count) break;
  }
  return weights;
}
