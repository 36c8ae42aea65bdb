import { expect } from "chai";
import fc from "fast-check";
import {
  byCriterion,
  CRITERIA,
  Criterion,
  frontRunners,
  repeatedLooks,
  repeatedWords,
  scores,
  sharedCriteria,
  whyFirst,
  type Ranked,
} from "./index";

const value = fc.double({ min: 0, max: 20, noNaN: true });
const marks = fc.record({ clutter: value, balance: value, contrast: value, headline: value });
const sets = fc
  .array(marks, { minLength: 1, maxLength: 12 })
  .map((all) => all.map((one, index): Ranked => ({ index, marks: one })));
const CHOSEN = ["contrast", "headline", "clutter"] as const satisfies Criterion[];
const nameOf = (index: number): string => `v${index + 1}`;

const ranked = (...all: Ranked["marks"][]): Ranked[] =>
  all.map((one, index) => ({ index, marks: one }));

describe("ranking variations", () => {
  it("has each criterion measured, said and explained", () => {
    for (const criterion of Criterion.options) {
      const { name, say, about, step } = CRITERIA[criterion];
      expect(name.length * about.length * say(0.5).length * step).to.be.above(0);
    }
  });

  it("puts the best of a criterion first, and those without it last", () => {
    const all = ranked(
      { clutter: 0.4, balance: 1, contrast: 4 },
      { clutter: 0.1, balance: 1 },
      { clutter: 0.2, balance: 1, contrast: 12 },
    );
    const order = (criterion: Criterion) => byCriterion(all, criterion).map(({ index }) => index);
    expect(order("contrast")).to.deep.equal([2, 0, 1]);
    // Less clutter is better.
    expect(order("clutter")).to.deep.equal([1, 2, 0]);
    expect(sharedCriteria(all)).to.deep.equal(["clutter", "balance"]);
  });

  it("is one of the front when none is at least as good in all and better in one: Pareto's definition", () => {
    fc.assert(
      fc.property(sets, (all) => {
        const front = frontRunners(all, CHOSEN);
        const seen = ({ marks: one }: Ranked) =>
          CHOSEN.map((criterion) => {
            const { step, better } = CRITERIA[criterion];
            const worth = Math.round(one[criterion]! / step);
            return better === "more" ? worth : -worth;
          });
        for (const one of all) {
          const beaten = all.some((other) => {
            const pairs = seen(other).map((worth, i) => worth - seen(one)[i]!);
            return Math.min(...pairs) >= 0 && Math.max(...pairs) > 0;
          });
          expect(front.has(one.index)).to.equal(!beaten);
        }
        // Somebody is always in front.
        expect(front.size).to.be.above(0);
      }),
    );
    expect(frontRunners(ranked({ clutter: 1, balance: 1 }), []).size).to.equal(0);
  });

  it("scores by the weights in sight: 1 for the best in all, 0 for the worst, whatever the scale", () => {
    const all = ranked(
      { clutter: 0.1, balance: 0.9, contrast: 21 },
      { clutter: 0.3, balance: 0.5, contrast: 3 },
      { clutter: 0.2, balance: 0.7, contrast: 12 },
    );
    const [best, worst, middle] = scores(all, { clutter: 1, balance: 2, contrast: 3 });
    expect([best, worst]).to.deep.equal([1, 0]);
    expect(middle).to.be.closeTo(0.5, 1e-9);
    expect(scores(all, {})).to.deep.equal([0, 0, 0]);
    fc.assert(
      fc.property(sets, fc.double({ min: 0.1, max: 9, noNaN: true }), (some, times) => {
        const once = scores(some, { contrast: 1, balance: 2 });
        const more = scores(some, { contrast: times, balance: 2 * times });
        for (const [i, score] of once.entries()) expect(more[i]).to.be.closeTo(score, 1e-9);
      }),
    );
  });

  it("says why one is first, in a sentence", () => {
    const all = ranked(
      { clutter: 0.1, balance: 0.9, contrast: 9 },
      { clutter: 0.3, balance: 0.9, contrast: 14 },
      { clutter: 0.2, balance: 0.9, contrast: 4.6 },
    );
    expect(whyFirst(all, "contrast", nameOf)).to.equal(
      "v2 is first by contrast: 14.0 : 1; the one in the middle has 9.0 : 1.",
    );
    expect(whyFirst(all, "balance", nameOf)).to.equal(
      "By balance there is nothing between them: 0.90.",
    );
    expect(whyFirst(all, { clutter: 3, contrast: 1 }, nameOf)).to.equal(
      "v1 is first with these weights; of 3 it is by clutter 1st (10.0 %) and contrast 2nd (9.0 : 1).",
    );
    expect(whyFirst([], "contrast", nameOf)).to.equal(undefined);
  });
});

describe("repeats among variations", () => {
  const worded = (...all: string[]) => all.map((words, index) => ({ index, words }));

  it("are wordings that hardly differ, with what differs", () => {
    const repeats = repeatedWords(
      worded(
        "Six lessons for 39 euros, the first one free",
        "Draw what will not sit still",
        "Six lessons for 49 euros, the first one free",
        "Draw what will not sit still",
      ),
    );
    expect(repeats).to.deep.equal([{ kind: "words", variations: [0, 2], differ: ["39", "49"] }]);
  });

  it("are none for other words, for the same words with another picture, and for no words", () => {
    expect(repeatedWords(worded("Boats at rest", "The quiet fleet", "Low tide", ""))).to.deep.equal(
      [],
    );
    expect(repeatedWords(worded("Boats at rest", "Boats at rest"))).to.deep.equal([]);
    expect(repeatedWords(worded("静かな船の展覧会", "静かな港の展覧会"))).to.have.lengthOf.at.most(
      1,
    );
  });

  it("are graphics that look the same, and how far each is from the nearest is known", () => {
    const colours = (value: number): string => value.toString(16).padStart(2, "0").repeat(192);
    const looks = [
      { index: 3, hash: "0f0f0f0f0f0f0f0f", colours: colours(140) },
      { index: 5, hash: "0f0f0f0f0f0f0f0e", colours: colours(140) },
      { index: 8, hash: "0f0f0f0f0f0f0f0f", colours: colours(150) },
      { index: 9, hash: "f0f0f0f0f0f0f0f0", colours: colours(140) },
    ];
    const { repeats, distinctness } = repeatedLooks(looks);
    expect(repeats).to.deep.equal([{ kind: "picture", variations: [3, 5], differ: [] }]);
    expect(distinctness.get(3)).to.equal(0);
    // All three axes are ten apart.
    expect(distinctness.get(8)).to.be.closeTo(Math.hypot(10, 10, 10), 1e-9);
    expect(repeatedLooks(looks.slice(0, 1)).distinctness.size).to.equal(0);
  });
});
