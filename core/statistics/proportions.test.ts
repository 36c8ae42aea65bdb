import { compiled, lgam, ndtr, ndtri } from "cephes";
import { expect } from "chai";
import fc from "fast-check";
import { fisher, holm, neededEach, pOfDifference, wilson } from "./index";

const of = (acted: number, shown: number) => ({ acted, shown });

describe("intervals and tests of proportions", () => {
  // The reference beside which the distributions are checked is compiled when it is loaded.
  before(() => compiled);

  it("Wilson's interval is as in the published comparison of methods", () => {
    // R. G. Newcombe, “Two-sided confidence intervals for the single proportion”, Statistics in Medicine, 1998, table I, method 3.
    // Values from memory.
    const published = [
      [81, 263, 0.2553, 0.3662],
      [15, 148, 0.0624, 0.1605],
      [0, 20, 0, 0.1611],
      [1, 29, 0.0061, 0.1718],
    ] as const;
    for (const [acted, shown, low, high] of published) {
      const interval = wilson(of(acted, shown));
      expect(interval.low).to.be.closeTo(low, 5e-5);
      expect(interval.high).to.be.closeTo(high, 5e-5);
    }
    expect(wilson(of(0, 0))).to.deep.equal({ low: 0, high: 1 });
  });

  it("Wilson's interval holds the rates that its own test does not refuse, at any counts", () => {
    const counts = fc
      .tuple(fc.integer({ min: 1, max: 50_000 }), fc.double({ min: 0, max: 1, noNaN: true }))
      .map(([shown, share]) => of(Math.round(shown * share), shown));
    fc.assert(
      fc.property(counts, ({ acted, shown }) => {
        const { low, high } = wilson({ acted, shown });
        const rate = acted / shown;
        expect(low <= rate + 1e-12 && rate <= high + 1e-12).to.equal(true);
        // By its definition: at its ends the score statistic is just the level's.
        for (const end of [low, high].filter((p) => p > 1e-9 && p < 1 - 1e-9)) {
          const z = Math.abs(rate - end) / Math.sqrt((end * (1 - end)) / shown);
          expect(z).to.be.closeTo(ndtri(0.975), 1e-6);
        }
      }),
    );
  });

  it("Fisher's test is right of the lady who tasted tea, and of any small table", () => {
    // “The Design of Experiments”, 1935: three of four cups found, 17/70 one-sided, 34/70 two-sided.
    expect(fisher(of(3, 4), of(1, 4))).to.be.closeTo(34 / 70, 1e-9);
    expect(fisher(of(4, 4), of(0, 4))).to.be.closeTo(2 / 70, 1e-9);
    const small = fc.record({
      shown: fc.integer({ min: 1, max: 40 }),
      share: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(small, small, (a, b) => {
        const [x, y] = [a, b].map(({ shown, share }) => of(Math.round(shown * share), shown)) as [
          ReturnType<typeof of>,
          ReturnType<typeof of>,
        ];
        const [all, acted] = [x.shown + y.shown, x.acted + y.acted];
        const choose = (n: number, k: number) =>
          k < 0 || k > n ? 0 : Math.exp(lgam(n + 1) - lgam(k + 1) - lgam(n - k + 1));
        const chance = (k: number): number =>
          (choose(x.shown, k) * choose(y.shown, acted - k)) / choose(all, acted);
        const own = chance(x.acted);
        const tables = Array.from({ length: acted + 1 }, (_, k) => chance(k));
        const p = tables
          .filter((each) => each <= own * (1 + 1e-6))
          .reduce((s, each) => s + each, 0);
        expect(fisher(x, y)).to.be.closeTo(Math.min(1, p), 1e-6);
      }),
    );
  });

  it("the pooled test is that of a statistics package, and tells nothing where there is nothing", () => {
    const a = of(120, 4000);
    const b = of(165, 4100);
    const pooled = 285 / 8100;
    const z = (120 / 4000 - 165 / 4100) / Math.sqrt(pooled * (1 - pooled) * (1 / 4000 + 1 / 4100));
    expect(pOfDifference(a, b)).to.be.closeTo(2 * ndtr(-Math.abs(z)), 1e-9);
    expect(pOfDifference(a, b)).to.equal(pOfDifference(b, a));
    expect(pOfDifference(of(0, 900), of(0, 800))).to.equal(1);
    expect(pOfDifference(of(0, 0), of(5, 10))).to.equal(1);
    // Abramowitz and Stegun, “Handbook of Mathematical Functions”, table 26.1.
    expect(ndtr(1)).to.be.closeTo(0.84134_47460_68543, 1e-14);
  });

  it("Holm's correction is as in his procedure, never below the plain value and in its order", () => {
    // Worked by hand after the procedure: 4 × 0.005, 3 × 0.01, 2 × 0.03, then never less than the one before.
    expect(holm([0.01, 0.04, 0.03, 0.005])).to.deep.equal([0.03, 0.06, 0.06, 0.02]);
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 12 }), (ps) => {
        const adjusted = holm(ps);
        for (const [i, p] of ps.entries()) {
          expect(adjusted[i]! >= p && adjusted[i]! <= 1).to.equal(true);
          for (const [j, q] of ps.entries())
            if (p < q) expect(adjusted[i]! <= adjusted[j]!).to.equal(true);
        }
      }),
    );
  });

  it("the number needed is that of the usual textbook formula", () => {
    // The worked example in the manual of R's power.prop.test: 50 % against 75 % at 90 % power, n = 76.65 each. From memory.
    expect(neededEach(0.5, 0.75, 0.05, 0.9)).to.be.closeTo(76.65, 0.1);
    expect(neededEach(0.02, 0.02)).to.equal(Infinity);
  });

  it("and finds the difference as often as it says, when it is tried", () => {
    const [a, b] = [0.05, 0.07];
    const each = Math.ceil(neededEach(a, b));
    let state = 7;
    const random = (): number => (state = (state * 48271) % 2147483647) / 2147483647;
    // A binomial count by its normal approximation (Box and Muller).
    const draw = (rate: number): number => {
      const normal = Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());
      return Math.round(each * rate + normal * Math.sqrt(each * rate * (1 - rate)));
    };
    const tries = 4000;
    let found = 0;
    for (let i = 0; i < tries; i++)
      if (pOfDifference(of(draw(a), each), of(draw(b), each)) < 0.05) found++;
    expect(found / tries).to.be.within(0.77, 0.83);
  });
});
