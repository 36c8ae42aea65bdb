import { expect } from "chai";
import fc from "fast-check";
import { coverPairs, type Row } from "./covering";

const sizes = fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 5 });
/** Pairs of choices that may not stand together: [factor, choice, other factor, other choice]. */
const bans = fc.array(
  fc.tuple(fc.nat({ max: 4 }), fc.nat({ max: 4 }), fc.nat({ max: 4 }), fc.nat({ max: 4 })),
  { maxLength: 5 },
);

function all(sizes: readonly number[]): Row[] {
  return sizes.reduce<Row[]>(
    (rows, size) => rows.flatMap((row) => Array.from({ length: size }, (_, i) => [...row, i])),
    [[]],
  );
}

const pairsOf = (row: Row): string[] =>
  row.flatMap((x, a) => row.slice(a + 1).map((y, at) => [a, x, a + 1 + at, y].join(" ")));

describe("a sample of pairs", () => {
  it("holds every pair that an allowed row has, in allowed rows alone: the definition of a covering array", () => {
    fc.assert(
      fc.property(sizes, bans, (sizes, bans) => {
        const allowed = (row: Readonly<Row>): boolean =>
          !bans.some(([a, x, b, y]) => a !== b && row[a] === x && row[b] === y);
        const rows = coverPairs(sizes, allowed);
        expect(rows.every((row) => row.length === sizes.length && allowed(row))).to.equal(true);
        const possible = new Set(all(sizes).filter(allowed).flatMap(pairsOf));
        expect(new Set(rows.flatMap(pairsOf))).to.deep.equal(possible);
        expect(new Set(rows.map(String)).size).to.equal(rows.length);
      }),
      { numRuns: 300 },
    );
  });

  it("is about as small as those that are published", () => {
    // The least that are known are 9 for 3^4 and 16 for 4^5 (orthogonal arrays), 15 for 3^13 and 6 for 2^10. From memory.
    const rows = (choices: number, factors: number): number =>
      coverPairs(Array.from({ length: factors }, () => choices)).length;
    expect(rows(3, 4)).to.be.within(9, 12);
    expect(rows(4, 5)).to.be.within(16, 26);
    expect(rows(3, 13)).to.be.within(15, 24);
    expect(rows(2, 10)).to.be.within(6, 12);
    expect(coverPairs([6, 4, 3])).to.have.lengthOf(24);
  });

  it("takes every choice about equally often", () => {
    const rows = coverPairs([6, 4, 3]);
    for (const [factor, often] of [4, 6, 8].entries()) {
      const counts = Array.from(
        { length: [6, 4, 3][factor]! },
        (_, choice) => rows.filter((row) => row[factor] === choice).length,
      );
      expect(Math.max(...counts) - Math.min(...counts)).to.be.at.most(2);
      expect(Math.max(...counts)).to.be.at.least(often);
    }
  });

  it("is there at once for long lists", () => {
    expect(coverPairs([200, 50, 12, 4]).length).to.be.within(10_000, 10_200);
  });
});
