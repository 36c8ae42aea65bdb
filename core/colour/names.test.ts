import { colorsNamed, formatHex } from "culori";
import { expect } from "chai";
import { ColourFamily, colourName, familyOf } from "./index";

/** Named colours of CSS Color 4 (section 6.1) whose name ends with that of one family. */
const named = Object.entries(colorsNamed).flatMap(([name, value]) => {
  const family = ColourFamily.options.find((one) => name.endsWith(one));
  const hex = formatHex(`#${value.toString(16).padStart(6, "0")}`);
  return family && hex ? [{ name, family, hex }] : [];
});

/** Between two families, hardly coloured, or called so for another reason: which it is, is a matter of taste. */
const TASTE =
  /slategr|^(orangered|greenyellow|mediumvioletred|palevioletred|brown|rosybrown|sandybrown|violet|aliceblue|antiquewhite|navajowhite)$/;

describe("names of colours", () => {
  it("put the named colours of CSS into the family that their name says", () => {
    const clear = named.filter(({ name }) => !TASTE.test(name));
    expect(clear.length).to.be.greaterThan(40);
    const wrong = clear.flatMap(({ name, family, hex }) =>
      familyOf(hex) === family ? [] : [`${name}: ${familyOf(hex)}`],
    );
    expect(wrong).to.deep.equal([]);
  });

  it("are what a person would say", () => {
    expect(["#ffff00", "#ffa500", "#800000", "#f4f4f4", "#5b2a86"].map(colourName)).to.deep.equal([
      "Yellow",
      "Orange",
      "Deep red",
      "White",
      "Violet",
    ]);
  });
});
