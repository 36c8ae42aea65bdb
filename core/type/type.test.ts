import { expect } from "chai";
import {
  demoFont,
  licenceOf,
  shippedFont,
  lineOf,
  shelfTypesetter,
  styled,
} from "../../tests/support/type";
import { families, shelfTypeface } from "../shelf";
import { plainText, readMarks, toggleMark } from "../text";
import {
  breakPlaces,
  FontFile,
  missingCharacters,
  setAt,
  setToFit,
  shapeLine,
  type Paragraph,
  type TypeStyle,
} from "./index";

async function paragraph(
  text: string,
  style: Partial<TypeStyle> = {},
  family = "eb-garamond",
): Promise<Paragraph> {
  const typesetter = await shelfTypesetter(family, plainText(text));
  const typeface = shelfTypeface(family)!;
  const chain = typesetter.chain(typeface, 400, "text");
  const strong = typesetter.chain(typeface, 700, "text");
  return typesetter.paragraph(text, { ...styled(chain), strong, ...style });
}

const linesOf = (p: Paragraph, measure: number): string[] =>
  p.balanced(measure).map((line) => p.shape(line).text);

describe("marks in a text", () => {
  it("are read as emphasis and are not part of the words", () => {
    expect(readMarks("A *bold* and =marked= word")).to.deep.include({
      text: "A bold and marked word",
      emphases: [
        { from: 2, to: 6, kind: "strong" },
        { from: 11, to: 17, kind: "marker" },
      ],
    });
    expect(readMarks("_~both~_!").emphases.map(({ kind }) => kind)).to.have.members([
      "underline",
      "colour",
    ]);
  });

  it("stay as they are where they are no pair, or are kept by a backslash", () => {
    for (const text of [
      "2*3*4",
      "snake_case_name",
      "a=b=c",
      "5 * 3",
      "*Terms apply",
      "~20 people",
      "* * *",
    ]) {
      expect(plainText(text), text).to.equal(text);
    }
    expect(plainText("\\*not bold\\*")).to.equal("*not bold*");
  });

  it("make lists of lines that begin like one", () => {
    expect(readMarks("- one\n- two")).to.deep.include({
      text: "•\u2002one\n•\u2002two",
      hangs: [
        { from: 0, to: 2 },
        { from: 6, to: 8 },
      ],
    });
    expect(plainText("1. one\n2) two")).to.equal("1.\u2002one\n2)\u2002two");
  });
});

describe("breaking by sense", () => {
  const stays = (text: string, language = "en") =>
    breakPlaces(text, language).map(({ at }, i, all) => text.slice(all[i - 1]?.at ?? 0, at).trim());

  it("keeps a number with its unit, initials with their name, a count with its word", () => {
    expect(stays("only 12 km away")).to.deep.equal(["only", "12 km", "away"]);
    expect(stays("by J. R. Miller today")).to.deep.equal(["by", "J. R. Miller", "today"]);
    expect(stays("open at 7 p.m. in Room 4")).to.deep.equal([
      "open",
      "at",
      "7 p.m.",
      "in",
      "Room 4",
    ]);
    expect(stays("ab 19 Uhr", "de")).to.deep.equal(["ab", "19 Uhr"]);
  });

  it("keeps French marks and Slavic one-letter words where they belong", () => {
    expect(stays("Vraiment ? Oui !", "fr")).to.deep.equal(["Vraiment ?", "Oui !"]);
    expect(stays("dom w lesie", "pl")).to.deep.equal(["dom", "w lesie"]);
  });

  it("finds the words of Thai, which has no spaces", () => {
    expect(stays("ภาษาไทยง่าย", "th")).to.deep.equal(["ภาษา", "ไทย", "ง่าย"]);
  });

  it("ends no line with a short preposition when it can be avoided, and no text with one short word", async () => {
    expect(linesOf(await paragraph("The boats of the old harbour"), 7.2)).to.deep.equal([
      "The boats",
      "of the old harbour",
    ]);
    // In a language whose short words are not known, only the shape of the lines counts.
    const unknown = await paragraph("The boats of the old harbour", { language: "eo" });
    expect(linesOf(unknown, 7.2)).to.deep.equal(["The boats of", "the old harbour"]);
    const p = await paragraph("Photographs of boats at rest in the harbour");
    for (let lines = 2; lines <= 4; lines++) {
      expect(p.width(p.balanced(p.measureFor(lines)).at(-1)!)).to.be.above(2);
    }
  });

  it("breaks at a soft hyphen only with a hyphen", async () => {
    const p = await paragraph("Donaudampf\u00adschifffahrt");
    expect(linesOf(p, p.widest + 0.5)).to.deep.equal(["Donaudampf-", "schifffahrt"]);
    expect(linesOf(p, 40)[0]).to.equal("Donaudampf\u00adschifffahrt");
  });
});

describe("hanging", () => {
  it("stands a quote outside the edge that the letters share", async () => {
    const p = await paragraph("“Boats at rest, and nothing else to see”");
    const set = setAt(p, 40, 320)!;
    expect(set.lines.length).to.be.above(1);
    expect(set.lines[0]!.shaped.hang).to.be.above(0.2);
    const [first, second] = set.lines;
    expect(first!.x).to.be.closeTo(second!.x, 1e-9);
    expect(first!.x).to.be.closeTo(first!.shaped.hang, 1e-9);
    expect(set.width).to.be.at.most(320);
  });

  it("stands the markers of a list outside its text, and sets paragraphs apart", async () => {
    const p = await paragraph("- one point that is long\n- two\n\nAfter");
    const set = setAt(p, 20, 150)!;
    const texts = set.lines.map(({ shaped }) => shaped.text);
    expect(texts[0]).to.match(/^•/);
    const edges = set.lines.map(({ x }) => x);
    for (const x of edges) expect(x).to.be.closeTo(edges[0]!, 1e-9);
    const gaps = set.lines.slice(1).map(({ baseline }, i) => baseline - set.lines[i]!.baseline);
    // leading 1.3 within a point; 0.25 em more between points, 0.5 em more before the paragraph.
    expect(gaps.at(-1)).to.be.closeTo(1.8, 1e-6);
    expect(gaps.at(-2)).to.be.closeTo(1.55, 1e-6);
    expect(gaps[0]).to.be.closeTo(1.3, 1e-6);
  });
});

describe("typefaces", () => {
  it("ship in at least 16 families, each with its licence, whole", () => {
    expect(families.length).to.be.at.least(16);
    expect(new Set(families.map(({ character }) => character)).size).to.equal(families.length);
    for (const { id, scripts } of families) {
      expect(scripts, id).to.include.members(["latin", "latin-ext"]);
      expect(licenceOf(id), id).to.contain("SIL OPEN FONT LICENSE");
    }
  });

  it("have figures, capitals and ligatures to choose from", async () => {
    const p = await paragraph("x");
    const glyphs = (text: string, style: Partial<TypeStyle>) =>
      shapeLine(lineOf(text), { ...p.style, ...style }).glyphs.map(({ glyph }) => glyph);
    const plain = glyphs("1870", {});
    expect(glyphs("1870", { features: ["old-style-figures"] })).to.not.deep.equal(plain);
    expect(glyphs("boats", { features: ["small-capitals"] })).to.not.deep.equal(
      glyphs("boats", {}),
    );
    expect(glyphs("fi", {}), "a ligature").to.have.lengthOf(1);
    expect(glyphs("fi", { features: ["no-ligatures"] })).to.have.lengthOf(2);
    expect(glyphs("fi", { tracking: 0.1 }), "loose letters have no ligatures").to.have.lengthOf(2);
    const wide = (text: string) =>
      shapeLine(lineOf(text), { ...p.style, features: ["tabular-figures"] }).advance;
    expect(wide("1111")).to.be.closeTo(wide("8888"), 1e-9);
  });

  it("make a strong word with another face of the same family", async () => {
    const p = await paragraph("one *two*");
    const set = setAt(p, 20, 400)!;
    expect(new Set(set.lines[0]!.shaped.glyphs.map(({ face }) => face.source.file)).size).to.equal(
      2,
    );
  });

  it("help out for other scripts, and say what none has", async () => {
    const text = "Ωmega жук ệ عربي שלום हिन्दी ไทย 日本語 한글 🎉👩‍🚀";
    const p = await paragraph(text, {}, "figtree");
    expect(missingCharacters(p.text, p.style.chain)).to.deep.equal([]);
    expect(missingCharacters("ok 𒀀", p.style.chain)).to.deep.equal(["𒀀"]);
    const emoji = shapeLine(lineOf("🎉"), p.style).glyphs;
    expect(emoji[0]!.face.layers(emoji[0]!.glyph).length).to.be.above(2);
  });

  it("say which characters a damaged font has no outlines for", async () => {
    const bytes = shippedFont("figtree/Figtree-Regular.ttf");
    const whole = new FontFile("whole", bytes).face({});
    // The second half of its outlines is nothing but zeros: glyphs with no contour (OpenType 1.9.1, "glyf").
    const view = new DataView(bytes.buffer);
    for (let i = 0; i < view.getUint16(4); i++) {
      const at = 12 + i * 16;
      if (view.getUint32(at) !== 0x676c7966) continue;
      const [offset, length] = [view.getUint32(at + 8), view.getUint32(at + 12)];
      bytes.fill(0, offset + Math.floor(length / 2), offset + length);
    }
    const half = new FontFile("half", bytes).face({});
    const text = "Harbour light 1868 – “Boats”, at rest! ñ €";
    expect(missingCharacters(text, [whole])).to.deep.equal([]);
    const missing = missingCharacters(text, [half]);
    expect(missing).to.not.be.empty;
    for (const character of missing) expect(half.has(character.codePointAt(0)!)).to.equal(false);
    expect(missingCharacters(text, [half, whole])).to.deep.equal([]);
    expect(whole.has(0x20) && whole.has(0xa0)).to.equal(true);
  });

  it("join Arabic and keep it joined, whatever the tracking", async () => {
    const { style } = await paragraph("عربي", { tracking: 0.2 });
    const apart = [..."عربي"].map((letter) => shapeLine(lineOf(letter), style).glyphs[0]!.glyph);
    const joined = shapeLine(lineOf("عربي"), style);
    expect(joined.glyphs.map(({ glyph }) => glyph)).to.not.have.members(apart);
    expect(joined.advance).to.equal(shapeLine(lineOf("عربي"), { ...style, tracking: 0 }).advance);
  });

  it("set a text that starts from the right on a right edge, its brackets turned", async () => {
    const p = await paragraph("שלום (ABC) עולם וכל הסירות");
    expect(p.rightToLeft).to.equal(true);
    expect(p.alignShare).to.equal(1);
    const set = setAt(p, 30, 260)!;
    const ends = set.lines.map(({ x, shaped }) => x + shaped.inkWidth - shaped.trail);
    for (const end of ends) expect(end).to.be.closeTo(ends[0]!, 1e-6);
  });

  it("have axes that are set by weight and by use", () => {
    const bytes = demoFont("quillmere/fonts/Fraunces-Latin-Variable.ttf");
    const font = new FontFile("f", bytes);
    expect(font.axes).to.include.keys("wght", "opsz");
    expect(font.settle({}, 650, "display")).to.include({ wght: 650, opsz: 144 });
    expect(font.settle({}, 5000, "text")).to.include({ wght: font.axes.wght!.max, opsz: 14 });
    expect(font.settle({ opsz: 20 }, 400, "display").opsz).to.equal(20);
  });
});

describe("setting into a box", () => {
  it("uses the width and the height that it is given, by what is inked", async () => {
    const p = await paragraph("Tall boats lie still", { leading: 0.95 });
    for (const [width, height] of [
      [600, 80],
      [160, 600],
      [400, 400],
      [320, 50],
    ] as const) {
      const set = setToFit(p, { width, height, min: 6, max: 999, mostLines: 8 })!;
      expect(set.width).to.be.at.most(width + 1e-6);
      expect(set.height).to.be.at.most(height + 1e-6);
      expect(Math.max(set.width / width, set.height / height)).to.be.closeTo(1, 1e-6);
    }
  });

  it("leaves room for a plate", async () => {
    const p = await paragraph("Boats");
    const bare = setToFit(p, { width: 200, height: 900, min: 6, max: 999, mostLines: 1 })!;
    const padded = setToFit(p, {
      width: 200,
      height: 900,
      min: 6,
      max: 999,
      mostLines: 1,
      pad: 0.5,
    })!;
    expect(padded.width + padded.size).to.be.closeTo(bare.width, 0.01);
  });
});

describe("putting marks", () => {
  it("goes round the words that are selected, without their spaces, and back", () => {
    const before = { text: "A big boat", from: 1, to: 6 };
    const marked = toggleMark(before, "strong");
    expect(marked).to.deep.equal({ text: "A *big* boat", from: 3, to: 6 });
    expect(toggleMark(marked, "strong")).to.deep.equal({ text: "A big boat", from: 2, to: 5 });
    expect(readMarks(marked.text).emphases).to.deep.equal([{ from: 2, to: 5, kind: "strong" }]);
    expect(toggleMark({ text: "a  b", from: 1, to: 3 }, "marker").text).to.equal("a  b");
  });
});
