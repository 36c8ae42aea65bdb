import { expect } from "chai";
import {
  atLightness,
  contrast,
  difference,
  mix,
  oklabStops,
  rgb,
  seenWith,
  tintsOf,
} from "./index";

/**
 * Sharma, Wu and Dalal, "The CIEDE2000 color-difference formula: implementation notes, supplementary test
 * data, and mathematical observations" (2005), table 1: L a b, L a b, ΔE00.
 */
const SHARMA = `
50 2.6772 -79.7751 50 0 -82.7485 2.0425
50 3.1571 -77.2803 50 0 -82.7485 2.8615
50 2.8361 -74.0200 50 0 -82.7485 3.4412
50 -1.3802 -84.2814 50 0 -82.7485 1.0000
50 -1.1848 -84.8006 50 0 -82.7485 1.0000
50 -0.9009 -85.5211 50 0 -82.7485 1.0000
50 0 0 50 -1 2 2.3669
50 -1 2 50 0 0 2.3669
50 2.4900 -0.0010 50 -2.4900 0.0009 7.1792
50 2.4900 -0.0010 50 -2.4900 0.0010 7.1792
50 2.4900 -0.0010 50 -2.4900 0.0011 7.2195
50 2.4900 -0.0010 50 -2.4900 0.0012 7.2195
50 -0.0010 2.4900 50 0.0009 -2.4900 4.8045
50 -0.0010 2.4900 50 0.0010 -2.4900 4.8045
50 -0.0010 2.4900 50 0.0011 -2.4900 4.7461
50 2.5 0 50 0 -2.5 4.3065
50 2.5 0 73 25 -18 27.1492
50 2.5 0 61 -5 29 22.8977
50 2.5 0 56 -27 -3 31.9030
50 2.5 0 58 24 15 19.4535
50 2.5 0 50 3.1736 0.5854 1.0000
50 2.5 0 50 3.2972 0 1.0000
50 2.5 0 50 1.8634 0.5757 1.0000
50 2.5 0 50 3.2592 0.3350 1.0000
60.2574 -34.0099 36.2677 60.4626 -34.1751 39.4387 1.2644
63.0109 -31.0961 -5.8663 62.8187 -29.7946 -4.0864 1.2630
61.2901 3.7196 -5.3901 61.4292 2.2480 -4.9620 1.8731
35.0831 -44.1164 3.7933 35.0232 -40.0716 1.5901 1.8645
22.7233 20.0904 -46.6940 23.0331 14.9730 -42.5619 2.0373
36.4612 47.8580 18.3852 36.2715 50.5065 21.2231 1.4146
90.8027 -2.0831 1.4410 91.1528 -1.6435 0.0447 1.4441
90.9257 -0.5406 -0.9208 88.6381 -0.8985 -0.7239 1.5381
6.7747 -0.2908 -2.4247 5.8714 -0.0985 -2.2286 0.6377
2.0776 0.0795 -1.1350 0.9033 -0.0636 -0.5514 0.9082`;

describe("colour by the book", () => {
  it("has the differences of Sharma, Wu and Dalal's 34 pairs to four places", () => {
    const rows = SHARMA.trim().split("\n");
    expect(rows).to.have.lengthOf(34);
    for (const row of rows) {
      const [l1, a1, b1, l2, a2, b2, expected] = row.split(" ").map(Number) as number[];
      const first = { mode: "lab65" as const, l: l1!, a: a1!, b: b1! };
      const second = { mode: "lab65" as const, l: l2!, a: a2!, b: b2! };
      expect(difference(first, second), row).to.be.closeTo(expected!, 0.00006);
      expect(difference(second, first), row).to.be.closeTo(expected!, 0.00006);
    }
  });

  it("has WCAG 2.2's contrasts: its definition, and the examples of its understanding documents", () => {
    // The definition of relative luminance, written out.
    const channel = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
    const luminanceOf = (hex: string) => {
      const { r, g, b } = rgb(hex);
      return 0.2126 * channel(r) + 0.7152 * channel(g) + 0.0722 * channel(b);
    };
    for (const [a, b] of [
      ["#123A3F", "#F6EFE2"],
      ["#C4492A", "#EDB64A"],
      ["#000000", "#FFFFFF"],
    ] as const) {
      const [light, dark] = [luminanceOf(a), luminanceOf(b)].sort((x, y) => y - x) as [
        number,
        number,
      ];
      expect(contrast(a, b)).to.be.closeTo((light + 0.05) / (dark + 0.05), 1e-6);
    }
    // Understanding SC 1.4.3: #767676 on white is 4.54 : 1, #777777 is 4.48 : 1 (from memory).
    expect(contrast("#767676", "#FFFFFF")).to.be.closeTo(4.54, 0.005);
    expect(contrast("#777777", "#FFFFFF")).to.be.closeTo(4.48, 0.005);
    expect(contrast("#000000", "#FFFFFF")).to.equal(21);
  });

  it("mixes in Oklab: blue and yellow do not meet in grey", () => {
    // Ottosson, "A perceptual color space for image processing" (2020): the middle keeps its chroma.
    const middle = rgb(mix("#0000FF", "#FFFF00", 0.5));
    expect(
      Math.max(middle.r, middle.g, middle.b) - Math.min(middle.r, middle.g, middle.b),
    ).to.be.above(0.15);
    expect(mix("#123A3F", "#F6EFE2", 0)).to.equal("#123a3f");
    expect(mix("#123A3F", "#F6EFE2", 1)).to.equal("#f6efe2");
  });

  it("gives a gradient stops so close that mixing between them in sRGB follows Oklab", () => {
    const stops = oklabStops([
      { at: 0, hex: "#0A1F5C", alpha: 1 },
      { at: 1, hex: "#FF6A45", alpha: 0.5 },
    ]);
    for (let i = 1; i < stops.length; i++) {
      const [from, to] = [stops[i - 1]!, stops[i]!];
      const [a, b] = [rgb(from.hex), rgb(to.hex)];
      const wanted = rgb(mix("#0A1F5C", "#FF6A45", (from.at + to.at) / 2));
      for (const part of ["r", "g", "b"] as const) {
        expect((a[part] + b[part]) / 2).to.be.closeTo(wanted[part], 1.6 / 255);
      }
    }
    expect(stops.at(-1)).to.deep.include({ at: 1, alpha: 0.5 });
  });

  it("makes tints inside sRGB that keep the hue", () => {
    const tints = tintsOf("#C4492A");
    const lightnesses = tints.map((hex) => rgb(hex)).map(({ r, g, b }) => r + g + b);
    expect([...lightnesses].sort((a, b) => b - a)).to.deep.equal(lightnesses);
    // CSS Color 4, 13.2 (gamut mapping): lightness 0 and 1 are black and white whatever the chroma.
    expect(atLightness("#FF0000", 1)).to.equal("#ffffff");
    expect(atLightness("#FF0000", 0)).to.equal("#000000");
  });

  it("simulates lacking cones as published: greys stay grey, and red and green draw near for deutans", () => {
    for (const kind of ["protan", "deutan", "tritan"] as const) {
      expect(difference(seenWith(kind, "#808080"), "#808080"), kind).to.be.below(0.6);
      expect(seenWith(kind, "#3FA7D6", 0)).to.equal("#3fa7d6");
    }
    // Machado, Oliveira and Fernandes (2009), matrix for protanomaly at severity 1.0, first row, on linear light.
    const row = [0.152286, 1.052583, -0.204868];
    const expected = row[0]! * 1;
    const seen = rgb(seenWith("protan", "#FF0000"));
    const linear = ((seen.r + 0.055) / 1.055) ** 2.4;
    expect(linear).to.be.closeTo(expected, 0.004);
    const apart = difference("#C4492A", "#5A7D2A");
    expect(difference(seenWith("deutan", "#C4492A"), seenWith("deutan", "#5A7D2A"))).to.be.below(
      0.5 * apart,
    );
  });
});
