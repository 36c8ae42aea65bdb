import { expect } from "chai";
import fc from "fast-check";
import { OUTLINE } from "../../tests/support/outline";
import { readOutline, writeOutline } from "./index";

describe("the text of an outline", () => {
  it("is read to slides: a heading or a line begins one", () => {
    const slides = readOutline(OUTLINE);
    expect(slides.map(({ words }) => Object.fromEntries(words))).to.deep.equal([
      { headline: "Boats at rest", date: "14 March to 30 August" },
      {
        headline: "Why they rest",
        body: "Low water twice a day.\nNobody hurries.\n\nSo the photographer had time.".replaceAll(
          "\\\n",
          "\n",
        ),
      },
      {
        headline: "What to look for",
        list: "- The mast\n- The ropes\n- A dog, in one of them".replaceAll("\\\n", "\n"),
      },
      {
        headline: "In their words",
        quote: "We waited for the tide\nas one waits for a guest.".replaceAll("\\\n", "\n"),
        author: "A skipper, 1891",
      },
    ]);
    expect(slides[0]!.pictures).to.deep.equal([{ alt: "A boat aground", name: "harbour-boats" }]);
    expect(readOutline("")).to.deep.equal([]);
    expect(readOutline("Only words\n\n---\n\n\nand more").length).to.equal(2);
  });

  it("comes back as it was from what is written of it, whatever the words are", () => {
    const line = fc
      .string({ minLength: 1, maxLength: 30 })
      .map((text) => text.replace(/[\\r\n]/g, " ").trim())
      .filter(
        (text) => text.length > 0 && text === text.trimEnd() && !/[\\u2028\\u2029]/.test(text),
      );
    const slot = fc.constantFrom("headline", "date", "place", "call-to-action", "support");
    const slide = fc
      .uniqueArray(fc.tuple(slot, line), { minLength: 1, maxLength: 4, selector: ([one]) => one })
      .map((words) => ({ words: words as [string, string][], pictures: [] }));
    fc.assert(
      fc.property(fc.array(slide, { minLength: 1, maxLength: 6 }), (slides) => {
        expect(readOutline(writeOutline(slides))).to.deep.equal(slides);
      }),
    );
    const read = readOutline(OUTLINE);
    expect(readOutline(writeOutline(read))).to.deep.equal(read);
  });

  it("reads a heading that is one number as a figure, and the line beneath as what it counts", () => {
    const read = (text: string) => readOutline(text).map(({ words }) => Object.fromEntries(words));
    expect(
      read("# 87 %\nof our guests come back\n\nCounted in May.\n# 1,204\n- jars"),
    ).to.deep.equal([
      { figure: "87 %", headline: "of our guests come back", body: "Counted in May." },
      { figure: "1,204", list: "- jars" },
    ]);
    expect(read("# 87 % more\nof everything")[0]).to.have.keys("headline", "body");
  });

  it("writes whatever a slide says so that it is read as the same", () => {
    const said: [string, string][][] = [
      [
        ["headline", "One\nTwo"],
        ["body", "x"],
      ],
      [
        ["headline", "87 %"],
        ["body", "x"],
      ],
      [["headline", "87 %\n5"]],
      [
        ["figure", "87 %"],
        ["headline", "of them"],
        ["body", "x y"],
      ],
      [
        ["figure", "87 %"],
        ["headline", "of\nthem"],
      ],
      [
        ["figure", "87 %"],
        ["body", "x y"],
      ],
      [
        ["figure", "1 204"],
        ["headline", "jars"],
      ],
      [
        ["figure", "87 %"],
        ["headline", "note: this"],
      ],
      [
        ["figure", "87 %"],
        ["headline", "# of them"],
      ],
      [
        ["kicker", "Now"],
        ["figure", "87 %"],
        ["headline", "of them"],
      ],
      [["figure", "5"]],
    ];
    for (const words of said) {
      const outline = [
        { words, pictures: [] },
        { words: [["headline", "Next"] as [string, string]], pictures: [] },
      ];
      const text = writeOutline(outline);
      expect(readOutline(text), text).to.deep.equal(outline);
    }
  });
});
