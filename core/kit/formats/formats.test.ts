import { expect } from "chai";
import fc from "fast-check";
import { demoBrand } from "../../../tests/support/demo";
import { readColours, writeCss, writePalette, writeTokens } from "../index";

const brand = demoBrand("quillmere");
const hexes = (text: string) => readColours(text).colours.map(({ hex }) => hex);

describe("kits in open formats", () => {
  it("come back from each as they went", () => {
    const own = brand.colours.map(({ hex }) => hex.toUpperCase());
    expect(hexes(JSON.stringify(writeTokens(brand)))).to.deep.equal(own);
    expect(hexes(writeCss(brand))).to.deep.equal(own);
    expect(hexes(writePalette(brand))).to.deep.equal(own);
    const back = readColours(JSON.stringify(writeTokens(brand))).colours;
    expect(back.map(({ id, name, role }) => [id, name, role])).to.deep.equal(
      brand.colours.map(({ id, name, role }) => [id, name, role]),
    );
  });

  it("keep every colour there is, to the last digit", () => {
    const level = fc.integer({ min: 0, max: 255 });
    fc.assert(
      fc.property(level, level, level, (r, g, b) => {
        const hex =
          `#${[r, g, b].map((part) => part.toString(16).padStart(2, "0")).join("")}`.toUpperCase();
        const kit = { ...brand, colours: [{ id: "one", name: "One", hex, role: "free" as const }] };
        for (const text of [JSON.stringify(writeTokens(kit)), writeCss(kit), writePalette(kit)]) {
          expect(hexes(text)).to.deep.equal([hex]);
        }
      }),
    );
  });

  it("read the token format's own kinds of example: both forms of a colour, inherited types, aliases", () => {
    // Design Tokens Community Group, format and color modules: examples rewritten from memory.
    const document = {
      "brand group": {
        $type: "color",
        acid: { $value: { colorSpace: "srgb", components: [0, 1, 0.4], alpha: 1, hex: "#00ff66" } },
        old: { $value: "#ff00ff" },
        wide: { $value: { colorSpace: "oklch", components: [0.628, 0.2577, 29.23] } },
        alias: { $value: "{brand group.acid}" },
        circle: { $value: "{brand group.circle}" },
        broken: { $value: { colorSpace: "srgb", components: ["a"] } },
      },
      size: { $type: "dimension", $value: { value: 4, unit: "px" } },
      plain: { $value: "{brand group.old}" },
    };
    const { colours, notes } = readColours(JSON.stringify(document));
    expect(colours.map(({ id, hex }) => [id, hex])).to.deep.equal([
      ["acid", "#00FF66"],
      ["old", "#FF00FF"],
      ["wide", "#FF0000"],
      ["alias", "#00FF66"],
      ["plain", "#FF00FF"],
    ]);
    expect(notes).to.have.lengthOf(2);
    expect(notes[1]).to.contain("brand group.broken");
  });

  it("take what can be read and say what cannot", () => {
    const text = "# a palette\n18 58 63 Tide\n300 0 0 Too much\nred\n237,182,74\n";
    expect(readColours(text)).to.deep.include({
      notes: [
        "Line 3 is not three numbers from 0 to 255 and is left out.",
        "Line 4 is not three numbers from 0 to 255 and is left out.",
      ],
    });
    expect(hexes(text)).to.deep.equal(["#123A3F", "#EDB64A"]);
    expect(readColours("{ broken").notes[0]).to.contain("cannot be read as JSON");
    expect(
      hexes(":root { --tide: #123a3f; --gap: 4px; /* --old: red; */ --sun: hsl(40 82% 61%) }"),
    ).to.have.lengthOf(2);
  });
});
