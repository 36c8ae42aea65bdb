import { expect } from "chai";
import { demoBrand } from "../../tests/support/demo";
import { contrast } from "../colour";
import {
  Brand,
  brandFiles,
  brandFonts,
  defaultSpread,
  logoFor,
  paletteOf,
  resolveColour,
} from "./index";

const brand = demoBrand("quillmere");

describe("a brand kit", () => {
  it("dresses every part, in the piece's spread where it has one and else in the brand's own", () => {
    const palette = paletteOf(brand, { backdrop: "sun", headline: "moon" });
    expect(palette.backdrop).to.equal("#EDB64A");
    const own = paletteOf(brand, {});
    expect(palette.headline).to.equal(own.headline);
    expect(contrast(own.headline, own.backdrop)).to.be.at.least(4.5);
    expect(own.backdrop).to.equal(
      brand.colours.find((c) => c.id === defaultSpread(brand).backdrop)?.hex,
    );
  });

  it("can be read even with one colour, in black or white", () => {
    for (const hex of ["#112233", "#EEEEEE"]) {
      const one = Brand.parse({
        ...brand,
        colours: [{ id: "a", name: "A", hex, role: "primary" }],
      });
      const palette = paletteOf(one, {});
      expect(contrast(palette.headline, palette.backdrop), hex).to.be.at.least(4.5);
    }
  });

  it("resolves tokens: a part, a role, a colour's id, a raw value that is marked", () => {
    const palette = paletteOf(brand, { action: "rust" });
    const resolved = (token: string) => resolveColour(token, brand, palette);
    expect(resolved("action")).to.deep.equal({ hex: "#C4492A", raw: false });
    expect(resolved("accent")).to.deep.equal({ hex: "#EDB64A", raw: false });
    expect(resolved("mist")).to.deep.equal({ hex: "#BCD0CB", raw: false });
    expect(resolved("#abcdef")).to.deep.equal({ hex: "#abcdef", raw: true });
    expect(resolved("nonsense")).to.deep.equal({ hex: palette.headline, raw: false });
  });

  it("takes the logo that is made for the ground", () => {
    expect(logoFor(brand.logos, "full", 0.9)?.ground).to.equal("light");
    expect(logoFor(brand.logos, "mark", 0.02)?.ground).to.equal("dark");
    expect(logoFor([], "full", 0.5)).to.equal(undefined);
  });

  it("names every file that it needs once", () => {
    const files = brandFiles(brand);
    expect(new Set(files).size).to.equal(files.length);
    expect(files).to.include.members(brandFonts(brand));
    expect(files).to.have.lengthOf(10);
  });

  it("refuses what is no colour, and no colours at all", () => {
    const with_ = (colours: object[]) => Brand.safeParse({ ...brand, colours }).success;
    const colour = { id: "a", name: "A", role: "primary" };
    expect(with_([{ ...colour, hex: "#12345" }])).to.equal(false);
    expect(with_([{ ...colour, hex: "red" }])).to.equal(false);
    expect(with_([])).to.equal(false);
  });
});
