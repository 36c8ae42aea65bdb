import { expect } from "chai";
import fc from "fast-check";
import { area, box, intersect } from "../geometry";
import { findGround, findThing, type Thumbnail } from "./index";

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

  it("is boxed as far as it reaches, by intersection over union with the truth", () => {
    for (const radius of [6, 10, 14]) {
      const found = findThing(disc(0.5, 0.5, radius, [240, 230, 210], [30, 60, 70]))!;
      const truth = box(0.5 - radius / 64, 0.5 - radius / 48, (2 * radius) / 64, (2 * radius) / 48);
      const of = box(found.x, found.y, found.width, found.height);
      const shared = area(intersect(of, truth));
      expect(shared / area(truth), `${radius}`).to.be.above(0.98);
      expect(shared / (area(of) + area(truth) - shared), `${radius}`).to.be.above(0.55);
      expect(found.weight).to.equal(1);
    }
  });

  it("is a scene, which may be cut, where it is strewn over the picture", () => {
    const strewn = disc(0.5, 0.5, 0, [90, 120, 90], [90, 120, 90]);
    for (let i = 0; i < 64 * 48; i++)
      if ((i * 2654435761) % 97 < 24) strewn.data.fill(220, 3 * i, 3 * i + 3);
    expect(findThing(strewn)?.weight ?? 0).to.be.below(0.5);
  });

  it("is kept where it fills a picture that is no place, and is a scene where sky lies over land", () => {
    // A cross of two strokes reaches far and fills little of its box.
    const cross = (ink: number, ground: (y: number) => number): Thumbnail => {
      const picture = disc(0.5, 0.5, 0, [0, 0, 0], [0, 0, 0]);
      for (let i = 0; i < 64 * 48; i++) {
        const [x, y] = [i % 64, Math.floor(i / 64)];
        const [across, down] = [x - 32, ((y - 24) * 64) / 48];
        const isStroke = Math.abs(across) < 27 && Math.abs(Math.abs(across) - Math.abs(down)) < 6;
        picture.data.fill(isStroke ? ink : ground(y), 3 * i, 3 * i + 3);
      }
      return picture;
    };
    expect(findThing(cross(230, (y) => 60 + 30 * (y % 2)))!.weight).to.be.within(0.5, 0.9);
    expect(findThing(cross(30, (y) => (y < 24 ? 235 : 60)))!.weight).to.be.below(0.5);
  });

  it("is nothing where nothing stands out", () => {
    const plain = { data: new Uint8Array(40 * 30 * 3).fill(128), width: 40, height: 30 };
    expect(findThing(plain)).to.equal(undefined);
  });
});

describe("the ground of a picture", () => {
  it("is the colour all around, as long as it is one", () => {
    const [r, g, b] = [240, 230, 210];
    const found = findGround(disc(0.5, 0.5, 10, [r, g, b], [30, 60, 70]))!;
    const of = (from: number) => parseInt(found.slice(from, from + 2), 16);
    expect(of(1)).to.be.closeTo(r, 8);
    expect(of(3)).to.be.closeTo(g, 8);
    expect(of(5)).to.be.closeTo(b, 8);
  });

  it("is none where a thing reaches the edge, or the sky meets the land there", () => {
    expect(findGround(disc(0, 0.5, 10, [240, 230, 210], [30, 60, 70]))).to.equal(undefined);
    const land = disc(0.5, 0.5, 4, [90, 80, 70], [200, 60, 40]);
    land.data.fill(235, 0, 64 * 18 * 3);
    expect(findGround(land)).to.equal(undefined);
  });
});
