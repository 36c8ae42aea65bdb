import { expect } from "chai";
import fc from "fast-check";
import {
  calmTint,
  CONTRAST_TEXT,
  contrast,
  contrastNeeded,
  hexOf,
  luminance,
  spreads,
  tintsOf,
  withinLimit,
  type Hex,
} from "./index";

const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map((parts): Hex => `#${parts.map((p) => p.toString(16).padStart(2, "0")).join("")}`);

/** WCAG 2.2, "relative luminance", written out from the standard's text. */
function byDefinition(colour: Hex): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const value = parseInt(colour.slice(at, at + 2), 16) / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
}

describe("contrast", () => {
  it("follows the definition in WCAG 2.2", () => {
    fc.assert(
      fc.property(hex, (colour) => {
        expect(luminance(colour)).to.be.closeTo(byDefinition(colour), 1e-6);
      }),
    );
  });

  it("gives the ratios that are published as examples", () => {
    expect(contrast("#000000", "#FFFFFF")).to.be.closeTo(21, 1e-9);
    // Grey on white, the well-known border cases of 4.5 : 1 (W3C, Understanding 1.4.3: #767676 passes, #777777 fails).
    expect(contrast("#767676", "#FFFFFF")).to.be.at.least(4.5);
    expect(contrast("#777777", "#FFFFFF")).to.be.below(4.5);
  });

  it("asks less of large text", () => {
    expect(contrastNeeded(24, 400)).to.equal(3);
    expect(contrastNeeded(19, 700)).to.equal(3);
    expect(contrastNeeded(19, 400)).to.equal(4.5);
    expect(contrastNeeded(14, 700)).to.equal(4.5);
  });
});

describe("spreads", () => {
  const roles = ["primary", "paper", "accent", "secondary", "free"];
  const kit = fc
    .uniqueArray(hex, { minLength: 1, maxLength: 6 })
    .map((colours) => colours.map((c, i) => ({ id: `c${i}`, hex: c, role: roles[i % 5]! })));

  it("only spreads colours that can be read", () => {
    fc.assert(
      fc.property(kit, (colours) => {
        const of = (id = "") => hexOf(colours, id)!;
        for (const spread of spreads(colours)) {
          expect(withinLimit(spread)).to.equal(true);
          const ratio = (a?: string, b?: string) => contrast(of(a), of(b));
          expect(ratio(spread.headline, spread.backdrop)).to.be.at.least(4.5);
          expect(ratio(spread.support, spread.backdrop)).to.be.at.least(4.5);
          expect(ratio(spread.detail, spread.backdrop)).to.be.at.least(4.5);
          expect(ratio(spread["on-action"], spread.action)).to.be.at.least(4.5);
          expect(ratio(spread["on-plate"], spread.plate)).to.be.at.least(4.5);
        }
      }),
      { numRuns: 60 },
    );
  });

  it("shows another ground before it shows the same once more", () => {
    const colours = [
      { id: "tide", hex: "#123A3F", role: "primary" },
      { id: "paper", hex: "#F6EFE2", role: "paper" },
      { id: "sun", hex: "#EDB64A", role: "accent" },
      { id: "mist", hex: "#BCD0CB", role: "free" },
    ];
    const all = spreads(colours);
    const grounds = all.slice(0, 4).map(({ backdrop }) => backdrop);
    expect(grounds[0]).to.equal("tide");
    expect(new Set(grounds).size).to.be.at.least(3);
    const ids = all.map((spread) => JSON.stringify(spread));
    expect(new Set(ids).size).to.equal(ids.length);
  });

  it("names tints by their colour and lightness", () => {
    const colours = [{ id: "tide", hex: "#123A3F" }];
    expect(hexOf(colours, "tide/84")).to.equal(tintsOf("#123A3F")[2]);
    expect(hexOf(colours, "moon/84")).to.equal(undefined);
    expect(contrast(hexOf(colours, calmTint(colours[0]!))!, "#123A3F")).to.be.within(1.2, 2);
  });

  it("writes on colours that do not read on each other in their own deep and pale tints", () => {
    const rose = { id: "rose", hex: "#F6D6D8", role: "primary" };
    const mint = { id: "mint", hex: "#D5EFE3", role: "accent" };
    for (const colours of [[rose], [rose, mint]]) {
      const found = spreads(colours);
      expect(found.length).to.be.above(5);
      for (const { backdrop, headline, action, "on-action": onAction } of found) {
        const hex = (id: string | undefined) => hexOf(colours, id)!;
        expect(contrast(hex(headline), hex(backdrop))).to.be.at.least(CONTRAST_TEXT);
        expect(contrast(hex(onAction), hex(action))).to.be.at.least(CONTRAST_TEXT);
      }
    }
  });

  it("finds some in black and white", () => {
    const both = spreads([
      { id: "a", hex: "#000000", role: "primary" },
      { id: "b", hex: "#FFFFFF", role: "paper" },
    ]);
    expect(both).not.to.be.empty;
  });
});
