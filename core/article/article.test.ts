import { expect } from "chai";
import fc from "fast-check";
import Graph from "graphology";
import pagerank from "graphology-metrics/centrality/pagerank.js";
import type { Block } from "./block";
import { cutArticle, plainBlocks } from "./index";
import { likeness, rank, walk } from "./rank";
import { sentencesOf } from "./sentences";

const NIGHT_TRAIN = `The quiet return of the night train

Five years ago the last sleeper left the city. Nobody came to wave. Now three companies sell beds again, and they are full until autumn.

The reason is not romance. Flights became dearer when fuel was taxed, and a bed saves a night in a hotel. For a family of four the sum is simple.

But there are too few carriages. A sleeping carriage costs three million and takes four years to build. Until then the old ones are patched up, with new mattresses and old windows. Travellers forgive the windows. They do not forgive a train that is six hours late.

Write to your transport minister. The address is sleepers.example.`;

const MENDING: Block[] = [
  { kind: "heading", level: 1, text: "Why we mend" },
  { kind: "text", text: "Repairing a toaster takes an hour. Buying one takes ten minutes." },
  { kind: "heading", level: 2, text: "What breaks first" },
  { kind: "text", text: "Most things fail at one small part. The rest is in good order." },
  { kind: "heading", level: 2, text: "What you need" },
  { kind: "list", items: ["A screwdriver", "Patience", "Light"] },
  { kind: "quote", text: "I came for the toaster and stayed for the cake. — Mira, a regular" },
  { kind: "heading", level: 2, text: "Come along" },
  {
    kind: "text",
    text: "We meet on Thursdays. Bring what is broken. Read more at mend-it.example.",
  },
];

const OPTIONS = { slides: 8, language: "en" };
const slots = ({ outline }: ReturnType<typeof cutArticle>) =>
  outline.map(({ words }) => words.map(([slot]) => slot).join(" "));

describe("an article that is cut into slides", () => {
  it("follows its headings, lists and quotations, with what it asks for at the end", () => {
    const cut = cutArticle(MENDING, OPTIONS);
    expect(slots(cut)).to.deep.equal([
      "headline support",
      "headline",
      "headline body",
      "headline list",
      "quote author",
      "headline body site",
    ]);
    expect(cut.outline[4]!.words).to.deep.equal([
      ["quote", "I came for the toaster and stayed for the cake."],
      ["author", "Mira, a regular"],
    ]);
    expect(cut.outline[5]!.words.at(-1)).to.deep.equal(["site", "mend-it.example"]);
    expect(cut.leftOut).to.deep.equal([]);
  });

  it("has as many slides as are wanted where there is enough to say, and what is left over is told", () => {
    const blocks = plainBlocks(NIGHT_TRAIN);
    for (const slides of [3, 5, 8]) {
      const cut = cutArticle(blocks, { slides, language: "en" });
      expect(cut.outline).to.have.lengthOf(slides);
      expect(cut.outline[0]!.words[0]).to.deep.equal([
        "headline",
        "The quiet return of the night train",
      ]);
      expect(cut.outline.at(-1)!.words).to.deep.include(["site", "sleepers.example"]);
      expect(cut.leftOut.length).to.be.above(0);
      for (const { slide } of cut.leftOut) expect(slide).to.be.within(0, slides);
    }
  });

  it("takes its title from under a date, or from its first sentence where it has none", () => {
    const title = (blocks: Block[]) => cutArticle(blocks, OPTIONS).outline[0]!.words[0];
    const told: Block = { kind: "text", text: "Nobody came to wave. The train left at nine." };
    const heading: Block = { kind: "heading", level: 1, text: "The night train" };
    expect(title([{ kind: "text", text: "4 May" }, heading, told])).to.deep.equal([
      "headline",
      "The night train",
    ]);
    expect(title([told])).to.deep.equal(["headline", "Nobody came to wave."]);
  });

  it("invents nothing and loses nothing: each line is in the article, each sentence on a slide or among the rest", () => {
    const word = fc.constantFrom(
      ..."harbour boats stand dry while water leaves twice daily and nobody hurries 12".split(" "),
    );
    const sentence = fc
      .array(word, { minLength: 2, maxLength: 14 })
      .map((words) => `${words.join(" ").replace(/^./, (c) => c.toUpperCase())}.`);
    const text = fc.array(sentence, { minLength: 1, maxLength: 5 }).map((all) => all.join(" "));
    const block: fc.Arbitrary<Block> = fc.oneof(
      text.map((one): Block => ({ kind: "text", text: one })),
      sentence.map((one): Block => ({ kind: "heading", level: 2, text: one.replace(/\.$/, "") })),
      fc
        .array(sentence, { minLength: 1, maxLength: 7 })
        .map((items): Block => ({ kind: "list", items })),
      text.map((one): Block => ({ kind: "quote", text: one })),
    );
    fc.assert(
      fc.property(
        fc.array(block, { minLength: 1, maxLength: 9 }),
        fc.integer({ min: 2, max: 12 }),
        (blocks, slides) => {
          const cut = cutArticle(blocks, { slides, language: "en", name: "harbour-notes.md" });
          expect(cut.outline.length).to.be.at.most(slides);
          const source = `harbour notes ${blocks
            .map((one) => (one.kind === "list" ? one.items.join(" ") : one.text))
            .join(" ")}`;
          const lines = cut.outline.flatMap(({ words }) =>
            words.flatMap(([, said]) => said.split("\n").map((line) => line.replace(/^- /, ""))),
          );
          for (const line of lines)
            for (const part of line.split(/(?<=\.)\s+/)) expect(source).to.include(part);
          const kept = [...lines, ...cut.leftOut.map(({ text: one }) => one)].join(" ");
          for (const one of sentencesOf(source.slice("harbour notes ".length), "en"))
            for (const each of one.split(" ")) expect(kept).to.include(each.replace(/\.$/, ""));
        },
      ),
      { numRuns: 200 },
    );
  });

  it("parts sentences as they are written, not at abbreviations", () => {
    expect(sentencesOf("Dr. Lind came at 9.30. She brought e.g. apples.", "en")).to.deep.equal([
      "Dr. Lind came at 9.30.",
      "She brought e.g. apples.",
    ]);
    expect(sentencesOf("Er kam z. B. um 9 Uhr. Dann ging er.", "de")).to.have.lengthOf(2);
  });
});

describe("the weight of sentences", () => {
  it("is that of PageRank on weighted links, by another implementation", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 9 }),
        fc.infiniteStream(fc.integer({ min: 0, max: 9 })),
        (count, values) => {
          const links = Array.from({ length: count }, () => new Array<number>(count).fill(0));
          const graph = new Graph({ type: "undirected" });
          for (let i = 0; i < count; i++) graph.addNode(String(i));
          for (let i = 0; i < count; i++)
            for (let j = i + 1; j < count; j++) {
              const weight = values.next().value!;
              if (weight === 0) continue;
              links[i]![j] = links[j]![i] = weight;
              graph.addEdge(String(i), String(j), { weight });
            }
          const theirs = pagerank(graph, {
            alpha: 0.85,
            tolerance: 1e-9,
            maxIterations: 2000,
            getEdgeWeight: "weight",
          });
          walk(links).forEach((weight, i) =>
            expect(weight).to.be.closeTo(theirs[String(i)]!, 1e-3),
          );
        },
      ),
      { numRuns: 60 },
    );
  });

  it("is highest for what shares the most with the rest", () => {
    const sets = [
      "boats harbour tide",
      "harbour tide water",
      "tide water harbour boats",
      "cake coffee sugar",
    ].map((text) => new Set(text.split(" ")));
    const weights = rank(sets);
    expect(Math.max(...weights)).to.equal(weights[2]);
    expect(Math.min(...weights)).to.equal(weights[3]);
    // Section 4.1 of the paper: words in common over the sum of the logarithms of both lengths.
    expect(likeness(sets[0]!, sets[1]!)).to.be.closeTo(2 / (2 * Math.log(3)), 1e-12);
  });
});
