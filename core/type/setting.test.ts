import { expect } from "chai";
import fc from "fast-check";
import { demoBrand, demoSources } from "../../tests/support/demo";
import { lineOf, styled } from "../../tests/support/type";
import {
  missingCharacters,
  setAt,
  setInColumns,
  setToFit,
  shapeLine,
  type Paragraph,
  type SetText,
} from "./index";

const brand = demoBrand("quillmere");

async function paragraph(text: string, leading = 0.95): Promise<Paragraph> {
  const { typesetter } = await demoSources();
  const chain = typesetter.chain(brand.typefaces.headline, 600, "display");
  return typesetter.paragraph(text, styled(chain, { leading }));
}

const linesOf = (p: Paragraph, measure: number): string[] =>
  p.balanced(measure).map((line) => p.shape(line).text);

/** How unwelcome a setting's line ends are; its parts are its words. */
function unwelcome(p: Paragraph, { lines }: SetText): number {
  let to = 0;
  const ends = lines.map(({ shaped }) => ({ from: to, to: (to += shaped.text.split(" ").length) }));
  return p.unwelcome(ends);
}

const words = fc
  .array(fc.constantFrom("boats", "at", "rest", "harbour", "a", "photographs", "of", "1931"), {
    minLength: 1,
    maxLength: 14,
  })
  .map((list) => list.join(" "));

describe("setToFit", () => {
  it("breaks into as many lines as its siblings have where it is as large in them", async () => {
    const room = { width: 900, height: 600, min: 100, max: 100, mostLines: 6 };
    for (const text of ["Still water, early 5", "Still water, early 9", "Abends am Wasser 17"]) {
      const p = await paragraph(text);
      const counts = [1, 2, 3].map((lines) => setToFit(p, { ...room, lines })?.lines.length);
      expect(counts, text).to.deep.equal([1, 2, 3]);
      // No size is given up for it, and where it cannot be it is set as it would be alone.
      const large = { ...room, min: 8, max: 400 };
      expect(setToFit(p, { ...large, lines: 1 })!.size).to.equal(setToFit(p, large)!.size);
      expect(setToFit(p, { ...room, lines: 6 })).to.deep.equal(setToFit(p, room));
    }
  });

  it("fits, and no setting of as many lines that ends them as well could be clearly larger", async () => {
    const { typesetter } = await demoSources();
    const chain = typesetter.chain(brand.typefaces.headline, 600, "display");
    const room = { width: 620, height: 340, min: 8, max: 500, mostLines: 6 };
    await fc.assert(
      fc.asyncProperty(words, async (text) => {
        const p = typesetter.paragraph(text, styled(chain, { leading: 0.95 }));
        const set = setToFit(p, room);
        if (!set) return;
        expect(set.width).to.be.at.most(room.width + 0.5);
        expect(set.height).to.be.at.most(room.height + 0.5);
        // The slow way: grow until the same number of lines no longer fits. Lines that break otherwise may meet with less
        // ink and so stand a little closer; that is not looked for.
        if (set.size === room.max) return;
        const larger = setAt(p, set.size * 1.1, room.width);
        // Size is given for lines that end where one would pause, so only as welcome ends count.
        const better =
          larger &&
          larger.lines.length === set.lines.length &&
          larger.height <= room.height &&
          unwelcome(p, larger) <= unwelcome(p, set);
        expect(Boolean(better), `${text} at ${set.size}`).to.equal(false);
      }),
      { numRuns: 300 },
    );
  });

  it("breaks a short headline into even lines rather than into single words", async () => {
    const set = setToFit(await paragraph("Boats at rest"), {
      width: 570,
      height: 900,
      min: 30,
      max: 400,
      mostLines: 6,
    });
    expect(set?.lines.map((line) => line.shaped.text)).to.deep.equal(["Boats", "at rest"]);
  });

  it("never splits an ordinary word: one that is too wide is not set", async () => {
    const word = await paragraph("Harbourmasters");
    expect(setToFit(word, { width: 60, height: 300, min: 10, max: 90, mostLines: 9 })).to.equal(
      undefined,
    );
    expect(setAt(word, 10, 60)).to.equal(undefined);
  });

  it("sets the points of a list in columns, each read down, none torn apart", async () => {
    const points = ["A scarf", "Something to share", "A book", "Thick socks", "No alarm clock"];
    const list = await paragraph(points.map((point) => `- ${point}`).join("\n"));
    const one = setAt(list, 20, 600)!;
    const two = setInColumns(list, 20, 600, 2)!;
    expect(two.lines).to.have.lengthOf(5);
    expect(two.height).to.be.below(0.7 * one.height);
    expect(two.width).to.be.at.most(600);
    const [a, b, c, d, e] = two.lines.map(({ x, baseline }) => ({ x, baseline }));
    expect([a!.x, b!.x]).to.deep.equal([b!.x, c!.x]);
    expect(d!.x).to.equal(e!.x);
    expect(d!.x).to.be.above(a!.x + 5);
    expect([d!.baseline, e!.baseline]).to.deep.equal([a!.baseline, b!.baseline]);
    expect(setInColumns(list, 20, 600, 6)).to.equal(undefined);
    expect(setInColumns(list, 20, 60, 2)).to.equal(undefined);
  });
});

describe("line breaking", () => {
  it("keeps every word, in order, whatever the measure", async () => {
    const { typesetter } = await demoSources();
    const chain = typesetter.chain(brand.typefaces.text, 400, "text");
    const style = styled(chain, { tracking: 0.05, leading: 1.3 });
    fc.assert(
      fc.property(words, fc.integer({ min: 3, max: 40 }), (text, measure) => {
        const p = typesetter.paragraph(text, style);
        const lines = p.balanced(measure);
        expect(lines.map((line) => p.shape(line).text).join(" ")).to.equal(text);
        const wide = lines.filter((line) => line.to - line.from > 1);
        for (const line of wide) expect(p.width(line)).to.be.at.most(measure + 1e-6);
      }),
    );
  });

  it("obeys a line break that was typed", async () => {
    const p = await paragraph("Boats\nat rest");
    expect(linesOf(p, 100)).to.deep.equal(["Boats", "at rest"]);
  });

  it("follows UAX #14 where a space is not what breaks", async () => {
    // UAX #14 (Unicode): LB21 breaks after a hyphen, LB12 never at a no-break space.
    const p = await paragraph("well-kept 7\u00a0pm");
    const parts = p.parts.map(({ from, to }) => p.text.slice(from, to));
    expect(parts).to.deep.equal(["well-", "kept", "7\u00a0pm"]);
  });
});

describe("shaping", () => {
  it("aligns by ink: a line starts at its first glyph's ink, not at its box", async () => {
    const p = await paragraph("Boats");
    const line = shapeLine(lineOf("Boats"), p.style);
    const [first] = line.glyphs;
    expect(first!.x + first!.face.ink(first!.glyph)!.left).to.be.closeTo(0, 1e-9);
  });

  it("kerns: a line is not the sum of its letters", async () => {
    const { style } = await paragraph("AV");
    const advance = (text: string) => shapeLine(lineOf(text), style).advance;
    expect(advance("AV")).to.be.below(advance("A") + advance("V"));
  });

  it("falls back to another face for a character that the first lacks, and names what none has", async () => {
    const { style } = await paragraph("x");
    // ř is outside the variable file's Latin, and in the whole static one.
    const used = new Set(shapeLine(lineOf("koř"), style).glyphs.map((glyph) => glyph.face));
    expect(used.size).to.equal(2);
    expect(missingCharacters("koř", style.chain)).to.deep.equal([]);
    expect(missingCharacters("a 漢字 漢", style.chain)).to.deep.equal(["漢", "字"]);
  });
});
