import { expect } from "chai";
import fc from "fast-check";
import { area, box, contains, largestFree, overlaps, type Box } from "./index";

const frame = box(0, 0, 12, 9);
const anyBox = fc
  .tuple(fc.nat(11), fc.nat(8), fc.integer({ min: 1, max: 8 }), fc.integer({ min: 1, max: 8 }))
  .map(([x, y, width, height]) => box(x, y, width, height));

/** Tries every rectangle of whole cells. */
function bySearch(obstacles: Box[]): number {
  let best = 0;
  for (let x = 0; x < 12; x++) {
    for (let y = 0; y < 9; y++) {
      for (let width = 1; x + width <= 12; width++) {
        for (let height = 1; y + height <= 9; height++) {
          const b = box(x, y, width, height);
          if (area(b) > best && !obstacles.some((o) => overlaps(b, o))) best = area(b);
        }
      }
    }
  }
  return best;
}

describe("largestFree", () => {
  it("finds as much as trying every rectangle does", () => {
    fc.assert(
      fc.property(fc.array(anyBox, { maxLength: 4 }), (obstacles) => {
        const free = largestFree(frame, obstacles);
        expect(area(free)).to.equal(bySearch(obstacles));
        expect(contains(frame, free)).to.equal(true);
      }),
      { numRuns: 60 },
    );
  });

  it("answers an empty box when everything is covered", () => {
    expect(area(largestFree(frame, [frame]))).to.equal(0);
  });
});
