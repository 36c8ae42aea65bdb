import { expect } from "chai";
import { analyse, pOfDifference } from "../statistics";
import { bestValues, readResults, sayColumn, sayVariations } from "./index";

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
