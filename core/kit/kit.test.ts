import { expect } from "chai";
import { demoBrand } from "../../tests/support/demo";
import { contrast } from "../colour";
import { colourId, compareBrands, makeBrand, pairsOf } from "./index";

const brand = demoBrand("quillmere");

describe("what goes with what", () => {
  const rows = pairsOf(brand.colours);
  const pair = (words: string, ground: string) =>
    rows.flat().find((one) => one.words.name === words && one.ground.name === ground)!;

  it("has every pair, alike both ways, with WCAG 2.2's borders", () => {
    expect(rows.flat()).to.have.lengthOf(25);
    for (const one of rows.flat()) {
      expect(one.ratio).to.equal(pair(one.ground.name, one.words.name).ratio);
      const expected = one.ratio >= 4.5 ? "text" : one.ratio >= 3 ? "large" : "no";
      expect(one.reads).to.equal(expected);
    }
    expect(pair("Paper", "Tide").reads).to.equal("text");
  });

  it("offers the nearest tint that reads where the colour itself does not", () => {
    const weak = rows.flat().filter(({ reads, instead }) => reads !== "text" && instead);
    expect(weak.length).to.be.above(5);
    for (const { instead, ground } of weak)
      expect(contrast(instead!, ground.hex)).to.be.at.least(4.5);
    expect(pair("Paper", "Tide").instead).to.equal(undefined);
  });

  it("names the eyes to which two colours look alike", () => {
    const [red, green] = ["#B0413E", "#6B7A2F"];
    const colours = [
      { id: "red", name: "Red", hex: red, role: "free" as const },
      { id: "green", name: "Green", hex: green, role: "free" as const },
    ];
    const [[, onRed]] = pairsOf(colours) as [[unknown, (typeof rows)[0][0]]];
    expect(onRed.alikeTo).to.include("deutan");
    expect(onRed.alikeTo).to.not.include("tritan");
  });
});

describe("kits compared", () => {
  it("say each change in words, and nothing when there is none", () => {
    expect(compareBrands(brand, structuredClone(brand))).to.deep.equal([]);
    const [tide, paper, ...rest] = brand.colours;
    const after = {
      ...brand,
      colours: [
        { ...tide!, hex: "#15444A" },
        { ...paper!, role: "free" as const },
        ...rest.slice(1),
        { id: "moss", name: "Moss", hex: "#445533", role: "free" as const },
      ],
      voice: { ...brand.voice, tone: "Loud." },
      portrait: undefined,
    };
    expect(compareBrands(brand, after)).to.deep.equal([
      "Tide #123A3F → #15444A",
      "Paper is free, was paper",
      "Moss #445533 added",
      `${rest[0]!.name} ${rest[0]!.hex} taken out`,
      "Tone changed",
      "Profile picture changed",
    ]);
  });
});

describe("a new kit", () => {
  it("needs typefaces that there are, and gives each colour an id of its own", () => {
    const wanted = {
      name: "A",
      colours: [],
      headline: { shelf: "vollkorn" },
      text: { shelf: "gone" },
    };
    expect(makeBrand("a", wanted, undefined)).to.equal(undefined);
    expect(colourId("Deep Blue!", new Set(["deep-blue-"]))).to.equal("deep-blue--2");
    expect(colourId("", new Set())).to.equal("colour");
  });
});
