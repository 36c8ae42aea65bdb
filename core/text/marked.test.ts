import { expect } from "chai";
import fc from "fast-check";
import { markedRuns, readMarks, type EmphasisKind } from "./index";

const word = fc.stringMatching(/^[a-zé]{1,8}$/);
const kind = fc.constantFrom<EmphasisKind | undefined>(
  "strong",
  "underline",
  "colour",
  "marker",
  undefined,
);

describe("pasted emphasis", () => {
  it("is read again as it was, whatever words stand out", () => {
    const runs = fc.array(fc.tuple(fc.array(word, { minLength: 1, maxLength: 3 }), kind), {
      minLength: 1,
      maxLength: 5,
    });
    fc.assert(
      fc.property(runs, (stretches) => {
        const texts = stretches.map(([words]) => words.join(" "));
        const typed = markedRuns(
          stretches.flatMap(([, as], i) => [
            ...(i > 0 ? [{ text: " " }] : []),
            { text: texts[i]!, ...(as ? { kind: as } : {}) },
          ]),
        );
        const { text, emphases } = readMarks(typed);
        expect(text).to.equal(texts.join(" "));
        const standing = stretches.flatMap(([, as], i) =>
          as ? [{ words: texts[i]!, kind: as }] : [],
        );
        expect(
          emphases.map(({ from, to, kind: as }) => ({ words: text.slice(from, to), kind: as })),
        ).to.deep.equal(standing);
      }),
    );
  });

  it("leaves half a word and what looks like a mark as they are", () => {
    expect(markedRuns([{ text: "har" }, { text: "bour", kind: "strong" }])).to.equal("harbour");
    expect(markedRuns([{ text: "2*3 and a=b" }])).to.equal("2*3 and a=b");
    expect(readMarks(markedRuns([{ text: "*as typed*" }])).text).to.equal("*as typed*");
    expect(markedRuns([{ text: "one\ntwo", kind: "strong" }])).to.equal("*one*\n*two*");
  });
});
