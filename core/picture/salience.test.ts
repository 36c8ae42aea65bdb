import { expect } from "chai";
import fc from "fast-check";
import { findThing, type Thumbnail } from "./index";

/** A disc of one colour on a ground of another, with some noise. */
function disc(
  x: number,
  y: number,
  radius: number,
  ground: readonly number[],
  ink: readonly number[],
): Thumbnail {
  const [width, height] = [64, 48];
  const data = new Uint8Array(width * height * 3);
  for (let i = 0; i < width * height; i++) {
    const [px, py] = [(i % width) + 0.5, Math.floor(i / width) + 0.5];
    const inside = Math.hypot(px - x * width, py - y * height) <= radius;
    const noise = ((i * 7919) % 13) - 6;
    for (let c = 0; c < 3; c++)
      data[i * 3 + c] = Math.min(255, Math.max(0, (inside ? ink : ground)[c]! + noise));
  }
  return { data, width, height };
}

/** The middle of what is found. */
function middleOf(picture: Thumbnail): { x: number; y: number } {
  const { x, y, width, height } = findThing(picture)!;
  return { x: x + width / 2, y: y + height / 2 };
}

describe("what stands out in a picture", () => {
  it("is found on a subject that differs from its ground, wherever it stands", () => {
    const share = fc.double({ min: 0.25, max: 0.75, noNaN: true });
    const grounds = fc.constantFrom([
      [30, 60, 70],
      [240, 230, 210],
    ]);
    fc.assert(
      fc.property(
        share,
        share,
        fc.double({ min: 3, max: 8, noNaN: true }),
        grounds,
        (x, y, radius, pair) => {
          for (const [ground, ink] of [pair, [...pair].reverse()]) {
            const found = middleOf(disc(x, y, radius, ground!, ink!));
            expect(Math.hypot(found.x - x, found.y - y)).to.be.below(0.06);
          }
        },
      ),
    );
  });

  it("is on what stands before a sky, not on the sky", () => {
    const scene = disc(0.7, 0.6, 6, [90, 80, 70], [200, 60, 40]);
    scene.data.fill(235, 0, 64 * 18 * 3);
    const { x, y } = middleOf(scene);
    expect(x).to.be.closeTo(0.7, 0.06);
    expect(y).to.be.closeTo(0.6, 0.06);
  });

  it("has a box that grows with it, and is neither a point nor all", () => {
    const sides = [4, 8, 14].map(
      (radius) => findThing(disc(0.5, 0.5, radius, [240, 230, 210], [30, 60, 70]))!.width,
    );
    expect(sides).to.deep.equal([...sides].sort((a, b) => a - b));
    expect(sides[0]).to.be.at.least(0.18);
    expect(sides[2]).to.be.within(0.2, 0.46);
  });

  it("is nothing where nothing stands out", () => {
    const plain = { data: new Uint8Array(40 * 30 * 3).fill(128), width: 40, height: 30 };
    expect(findThing(plain)).to.equal(undefined);
  });
});
