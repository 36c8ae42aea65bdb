import { expect } from "chai";
import fc from "fast-check";
import { inset, overlaps } from "../geometry";
import { placementById } from "../placements";
import { pack } from "./pack";
import { sizeSheet } from "./index";

const side = fc.record({
  width: fc.integer({ min: 20, max: 900 }),
  height: fc.integer({ min: 20, max: 900 }),
});

describe("sizes on one page", () => {
  it("never touch, never leave the page, and keep their sides", () => {
    fc.assert(
      fc.property(fc.array(side, { minLength: 1, maxLength: 30 }), (sides) => {
        const { width, height, at } = pack(sides, 24);
        expect(at.map((b) => ({ width: b.width, height: b.height }))).to.deep.equal(sides);
        for (const [i, a] of at.entries()) {
          expect(a.x >= 0 && a.y >= 0 && a.x + a.width <= width && a.y + a.height <= height)
            .to //
            .equal(true);
          for (const b of at.slice(i + 1))
            expect(overlaps(inset(a, -11), inset(b, -11))).to.equal(false);
        }
      }),
      { numRuns: 120 },
    );
  });

  it("are all at one scale as they are viewed, with their names", () => {
    const placements = ["story", "ad-leaderboard", "poster-a3"].map(placementById);
    const about = { crate: "Boats", title: "Opening", brand: "Quillmere", date: "1 May 2027" };
    const { at, piece } = sizeSheet(placements, "story", about);
    expect(at.map(({ width }) => width)).to.deep.equal([390, 728, Math.round(1123 / 2)]);
    const said = Object.values(piece.message).map((filling) =>
      "text" in filling ? filling.text : "",
    );
    expect(said).to.include.members(["Opening", "Boats   ·   Quillmere   ·   1 May 2027"]);
    expect(said.some((text) => text.startsWith("Lead: Story"))).to.equal(true);
    expect(said.some((text) => text.endsWith("half as large"))).to.equal(true);
  });
});
