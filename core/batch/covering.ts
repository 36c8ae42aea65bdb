/** Which choice of each factor, by place; `OPEN` where none is made yet. */
export type Row = number[];

export const OPEN = -1;

/** Whether a row may be, as far as it is filled. */
export type Allowed = (row: Readonly<Row>) => boolean;

/**
 * So few rows that every two choices of different factors that may stand together do so in at least one: a covering
 * array of strength two. Built row by row: each begins with a pair that is still missing and takes for every other
 * factor the choice that covers most (after D. M. Cohen, S. R. Dalal, M. L. Fredman and G. C. Patton, “The AETG
 * system”, IEEE Transactions on Software Engineering, 1997, without its random tries); of equals the one that was
 * taken least, so that all choices are made about equally often. `sizes` are how many choices each factor has.
 */
export function coverPairs(sizes: readonly number[], allowed: Allowed = () => true): Row[] {
  const [only] = sizes;
  if (sizes.length < 2) return Array.from({ length: only ?? 0 }, (_, i) => [i]).filter(allowed);
  const missing = new Missing(sizes);
  const taken = sizes.map((size) => new Array<number>(size).fill(0));
  const rows: Row[] = [];
  for (let pair = missing.next(); pair; pair = missing.next()) {
    const begun = sizes.map((_, factor) =>
      factor === pair.a ? pair.x : factor === pair.b ? pair.y : OPEN,
    );
    const row = allowed(begun) ? filled(begun, { sizes, missing, taken, allowed }) : undefined;
    if (!row) {
      missing.cover(begun);
      continue;
    }
    rows.push(row);
    missing.cover(row);
    for (const [factor, choice] of row.entries()) taken[factor]![choice]!++;
  }
  return rows.sort(byFirst);
}

interface Filling {
  sizes: readonly number[];
  missing: Missing;
  taken: readonly (readonly number[])[];
  allowed: Allowed;
}

/** The row with its open factors filled, the one with most choices first; undefined where no filling is allowed. */
function filled(row: Row, filling: Filling): Row | undefined {
  const { sizes, missing, taken, allowed } = filling;
  const open = sizes
    .map((size, factor) => ({ size, factor }))
    .filter(({ factor }) => row[factor] === OPEN)
    .sort((a, b) => b.size - a.size);
  const [first] = open;
  if (!first) return row;
  const { factor } = first;
  const choices = Array.from({ length: first.size }, (_, choice) => ({
    choice,
    covers: missing.coveredBy(row, factor, choice),
    before: taken[factor]![choice]!,
  })).sort((a, b) => b.covers - a.covers || a.before - b.before || a.choice - b.choice);
  for (const { choice } of choices) {
    const next = row.with(factor, choice);
    const whole = allowed(next) ? filled(next, filling) : undefined;
    if (whole) return whole;
  }
  return undefined;
}

const byFirst = (a: Row, b: Row): number => {
  const at = a.findIndex((choice, factor) => choice !== b[factor]);
  return at < 0 ? 0 : a[at]! - b[at]!;
};

/** The pairs that no row holds yet. */
class Missing {
  private readonly pairs: { a: number; b: number; left: Uint8Array; next: number }[] = [];

  constructor(private readonly sizes: readonly number[]) {
    for (let a = 0; a < sizes.length; a++)
      for (let b = a + 1; b < sizes.length; b++) {
        const left = new Uint8Array(sizes[a]! * sizes[b]!).fill(1);
        this.pairs.push({ a, b, left, next: 0 });
      }
  }

  /** One that is missing, of the two factors with most choices first. */
  next(): { a: number; b: number; x: number; y: number } | undefined {
    let most: (typeof this.pairs)[number] | undefined;
    for (const pair of this.pairs) {
      while (pair.next < pair.left.length && pair.left[pair.next] === 0) pair.next++;
      const isLeft = pair.next < pair.left.length;
      if (isLeft && (!most || pair.left.length > most.left.length)) most = pair;
    }
    if (!most) return undefined;
    const { a, b, next } = most;
    return { a, b, x: Math.floor(next / this.sizes[b]!), y: next % this.sizes[b]! };
  }

  /** How many missing pairs a choice makes with those that the row has. */
  coveredBy(row: Readonly<Row>, factor: number, choice: number): number {
    let covers = 0;
    for (const { a, b, left } of this.pairs) {
      const other = a === factor ? b : b === factor ? a : OPEN;
      if (other === OPEN || row[other] === OPEN) continue;
      const [x, y] = a === factor ? [choice, row[other]!] : [row[other]!, choice];
      covers += left[x * this.sizes[b]! + y]!;
    }
    return covers;
  }

  cover(row: Readonly<Row>): void {
    for (const { a, b, left } of this.pairs)
      if (row[a] !== OPEN && row[b] !== OPEN) left[row[a]! * this.sizes[b]! + row[b]!] = 0;
  }
}
