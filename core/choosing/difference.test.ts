import { expect } from "chai";
import fc from "fast-check";
import { rasterOf, type Raster } from "../picture";
import { commonPixels } from "./index";

const [WIDTH, HEIGHT] = [200, 120];
/** What is within this many pixels of a difference is shown with it: 1.2 % of the width. */
const NEAR = 2;

/** A grey field with a darker box on it. */
function drawn(x = 0, y = 0, side = 0, grey = 200): Raster {
  const data = new Uint8ClampedArray(4 * WIDTH * HEIGHT).fill(grey);
  for (let row = y; row < y + side; row++)
    for (let column = x; column < x + side; column++)
      data.set([40, 60, 80, 255], 4 * (row * WIDTH + column));
  return rasterOf(data, WIDTH, HEIGHT);
}

describe("what graphics have in common", () => {
  it("is all of one, and all of several that look the same but for their compression", () => {
    expect(commonPixels([drawn()]).every((one) => one === 1)).to.equal(true);
    expect(commonPixels([drawn(), drawn(0, 0, 0, 210)]).every((one) => one === 1)).to.equal(true);
    expect(commonPixels([])).to.have.lengthOf(0);
  });

  it("is everything but the box that one has, and a little around it, wherever it lies", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: WIDTH - 12 }),
        fc.integer({ min: 0, max: HEIGHT - 12 }),
        fc.integer({ min: 1, max: 12 }),
        (x, y, side) => {
          const common = commonPixels([drawn(), drawn(x, y, side)]);
          for (let row = 0; row < HEIGHT; row++)
            for (let column = 0; column < WIDTH; column++) {
              const isNear =
                column >= x - NEAR &&
                column < x + side + NEAR &&
                row >= y - NEAR &&
                row < y + side + NEAR;
              if (common[row * WIDTH + column] !== (isNear ? 0 : 1)) return false;
            }
          return true;
        },
      ),
      { numRuns: 30 },
    );
  });

  it("is what all share: each may differ elsewhere", () => {
    const common = commonPixels([drawn(), drawn(10, 10, 5), drawn(150, 80, 5)]);
    const at = (x: number, y: number) => common[y * WIDTH + x];
    expect([at(12, 12), at(152, 82), at(80, 40)]).to.deep.equal([0, 0, 1]);
  });

  it("is asked of graphics of one size alone", () => {
    const small = rasterOf(new Uint8ClampedArray(4 * 10 * 10), 10, 10);
    expect(commonPixels([drawn(), small]).every((one) => one === 1)).to.equal(true);
  });
});
