import { expect } from "chai";
import fc from "fast-check";
import { findFocus, type Thumbnail } from "./index";

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

describe("the focus of a picture", () => {
  it("is found on a subject that differs from its ground, wherever it stands", () => {
    const share = fc.double({ min: 0.2, max: 0.8, noNaN: true });
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
            const found = findFocus(disc(x, y, radius, ground!, ink!));
            expect(Math.hypot(found.x - x, found.y - y)).to.be.below(0.06);
          }
        },
      ),
    );
  });

  it("is on what stands before a sky, not on the sky", () => {
    const scene = disc(0.7, 0.6, 6, [90, 80, 70], [200, 60, 40]);
    scene.data.fill(235, 0, 64 * 18 * 3);
    const { x, y } = findFocus(scene);
    expect(x).to.be.closeTo(0.7, 0.06);
    expect(y).to.be.closeTo(0.6, 0.06);
  });

  it("is the middle where nothing stands out", () => {
    const plain = { data: new Uint8Array(40 * 30 * 3).fill(128), width: 40, height: 30 };
    expect(findFocus(plain)).to.deep.equal({ x: 0.5, y: 0.5 });
  });
});
