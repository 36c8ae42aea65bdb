import { compiled, lgam, ndtr, ndtri } from "cephes";
import { expect } from "chai";
import fc from "fast-check";
import { analyse, bestValues, readResults, sayColumn, sayVariations, type Results } from "./index";
import { fisher, holm, neededEach, pOfDifference, wilson } from "./proportions";

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
          Results["counts"][number],
          Results["counts"][number],
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

describe("results of a batch", () => {
  const variations = Array.from({ length: 12 }, (_, index) => ({
    index,
    name: `v${String(index + 1).padStart(2, "0")}`,
  }));
  const values = (variation: number) => ({
    headline: ["Boats", "Harbour", "Tide"][Math.floor(variation / 4)]!,
    picture: ["quay.jpg", "rope.jpg"][variation % 2]!,
  });
  const read = (columns: string[], rows: string[][], chosen = {}) =>
    readResults({ columns, rows }, variations, chosen);

  it("are read by variation or file name, added up, whatever else stands in the report", () => {
    const { results, notes } = read(
      ["Campaign", "Ad name", "Impressions", "CTR", "Link clicks"],
      [
        ["spring", "boats_opening_story_v02_1080x1920.png", "1,200", "1.0 %", "12"],
        ["spring", "boats_opening_photo-feed_v02_1080x1350.png", "1 800", "1.0 %", "18"],
        ["spring", "V03", "12.500", "0.2 %", "25"],
        ["spring", "total", "15500", "", "55"],
        ["spring", "v04", "n/a", "", "1"],
        ["spring", "v05", "10", "", "11"],
      ],
    );
    expect(results).to.deep.equal({
      shown: "Impressions",
      acted: "Link clicks",
      counts: [
        { variation: 1, shown: 3000, acted: 30 },
        { variation: 2, shown: 12_500, acted: 25 },
      ],
    });
    expect(notes.map(({ code, row }) => [code, row])).to.deep.equal([
      ["unknown-variation", 4],
      ["no-count", 5],
      ["more-acted", 6],
    ]);
  });

  it("take any two counts, and say what is missing", () => {
    const rows = [["v01", "400", "9", "3"]];
    const { results } = read(["name", "reach", "saves", "clicks"], rows, { acted: "Saves" });
    expect(results.counts).to.deep.equal([{ variation: 0, shown: 400, acted: 9 }]);
    expect(() => read(["a", "impressions", "clicks"], [["x", "1", "1"]])).to.throw("v01");
    expect(() => read(["name", "cost"], [["v01", "3"]])).to.throw("Nothing can be counted");
    expect(() => read(["name", "reach", "clicks"], rows, { acted: "hearts" })).to.throw("counted");
  });

  it("say which column's value did better, what is still open, and how much would settle it", () => {
    const counts = variations.map(({ index }) => ({
      variation: index,
      shown: 4000,
      // One headline is really better; the pictures differ by a hair.
      acted: (index < 4 ? 160 : 80) + (index % 2),
    }));
    const analysis = analyse({ shown: "Impressions", acted: "Clicks", counts }, values);
    const [headline, picture] = analysis.columns;
    expect(headline!.values.map(({ value }) => value)[0]).to.equal("Boats");
    expect(headline!.comparisons.map(({ isClear }) => isClear)).to.deep.equal([true, true, false]);
    expect(headline!.isBalanced).to.equal(true);
    expect(sayColumn(headline!)).to.deep.equal([
      "“Boats” did better than all the others: 4.01 % against 2.01 %.",
    ]);
    expect(picture!.comparisons[0]!.isClear).to.equal(false);
    expect(sayColumn(picture!)[0]).to.equal(
      "No picture is better than the others by more than chance explains.",
    );
    expect(analysis.tied).to.equal(3);
    expect(sayVariations(analysis, (index) => variations[index]!.name)[1]).to.equal(
      "It cannot be told apart from 3 of the other 11: such differences may well be chance.",
    );
    expect(analysis.all).to.include({ shown: 48_000, acted: 1286 });
  });

  it("say how many more would settle a difference, and they do", () => {
    const counts = [
      { variation: 0, shown: 2000, acted: 60 },
      { variation: 1, shown: 2000, acted: 45 },
    ];
    const two = (variation: number) => ({ headline: variation ? "Harbour" : "Boats" });
    const [effect] = analyse({ shown: "Shown", acted: "Clicks", counts }, two).columns;
    const [open] = effect!.comparisons;
    expect(open!.isClear).to.equal(false);
    const times = (2000 + open!.more!) / 2000;
    const later = counts.map((one) => ({
      ...one,
      shown: one.shown * times,
      acted: one.acted * times,
    }));
    expect(pOfDifference(later[0]!, later[1]!)).to.be.below(0.05);
    expect(sayColumn(effect!)[1]).to.match(/about [\d,]+ more of each would show it/);
  });

  it("tell what a next batch can begin with: what did best, and what may be as good", () => {
    const counts = variations.map(({ index }) => ({
      variation: index,
      shown: 4000,
      acted: (index < 4 ? 160 : index < 8 ? 150 : 60) + (index % 2),
    }));
    const analysis = analyse({ shown: "Shown", acted: "Clicks", counts }, values);
    expect(bestValues(analysis, values)).to.deep.equal({
      headline: ["Boats", "Harbour"],
      picture: ["rope.jpg", "quay.jpg"],
    });
    // Each with a headline of its own: those of the variations that may be the best.
    const own = (variation: number) => ({ headline: `Headline ${variation}`, picture: "one.jpg" });
    const best = bestValues(analyse({ shown: "Shown", acted: "Clicks", counts }, own), own);
    expect(Object.keys(best)).to.deep.equal(["headline"]);
    expect(best.headline).to.have.members(
      [0, 1, 2, 3, 4, 5, 6, 7].map((variation) => `Headline ${variation}`),
    );
  });

  it("warn where a value never ran beside the others", () => {
    const counts = [0, 1, 4].map((variation) => ({ variation, shown: 100, acted: 5 }));
    const { columns } = analyse({ shown: "Shown", acted: "Clicks", counts }, values);
    expect(columns.every(({ isBalanced }) => !isBalanced)).to.equal(true);
    expect(sayColumn(columns[0]!).at(-1)).to.contain("what stood beside it");
  });
});
