import { expect } from "chai";
import fc from "fast-check";
import { CORAL, isIn, painted, SAND, TIDE } from "../../tests/support/painted";
import { box, type Box } from "../geometry";
import {
  ATTENTION_SIDE,
  attentionIn,
  attentionOf,
  CosineTransform,
  shrink,
  type Pixels,
} from "./index";

const sides = { width: 480, height: 600 };
const attentionTo = (picture: Pixels) =>
  attentionOf(shrink(picture, ATTENTION_SIDE, ATTENTION_SIDE));

describe("a shrunk picture", () => {
  it("has the means of its pixels, whatever the sides", () => {
    const ramp = painted(960, 640, (x) => [Math.floor((x / 960) * 240), 90, 10]);
    const { data } = shrink(ramp, 48, 48);
    for (let x = 0; x < 48; x++) expect(data[3 * x]).to.be.closeTo(5 * x + 2.5, 1.6);
    expect([...data.slice(1, 3)]).to.deep.equal([90, 10]);
    const same = painted(48, 48, (x, y) => [x, y, 7]);
    expect(shrink(same, 48, 48).data).to.deep.equal(same.data);
  });
});

describe("the cosine transform", () => {
  it("is undone by its inverse, keeps the sum of squares, and is the sum that defines it", () => {
    const transform = new CosineTransform(8);
    const values = fc.array(fc.double({ min: -200, max: 200, noNaN: true }), {
      minLength: 64,
      maxLength: 64,
    });
    fc.assert(
      fc.property(values, fc.nat({ max: 7 }), fc.nat({ max: 7 }), (list, u, v) => {
        const given = Float64Array.from(list);
        const coefficients = transform.forward(given);
        const back = transform.inverse(coefficients);
        for (const [i, value] of given.entries()) expect(back[i]).to.be.closeTo(value, 1e-9);
        // As ITU-T T.81 (JPEG), A.3.3 defines it for 8 × 8.
        const c = (k: number) => (k === 0 ? Math.SQRT1_2 : 1);
        let sum = 0;
        for (let y = 0; y < 8; y++)
          for (let x = 0; x < 8; x++)
            sum +=
              given[y * 8 + x]! *
              Math.cos(((2 * x + 1) * u * Math.PI) / 16) *
              Math.cos(((2 * y + 1) * v * Math.PI) / 16);
        expect(coefficients[v * 8 + u]).to.be.closeTo((c(u) * c(v) * sum) / 4, 1e-8);
      }),
      { numRuns: 40 },
    );
  });
});

describe("predicted attention", () => {
  it("goes to the one thing on a plain ground, wherever it is", () => {
    const places = fc.tuple(fc.integer({ min: 20, max: 380 }), fc.integer({ min: 20, max: 500 }));
    fc.assert(
      fc.property(places, ([x, y]) => {
        const thing = box(x, y, 80, 80);
        const picture = painted(480, 600, (px, py) => (isIn(thing, px, py) ? TIDE : SAND));
        const around = box(x - 30, y - 30, 140, 140);
        const share = attentionIn(attentionTo(picture), [around], sides);
        // What it would have by its area; the least of all places is 5.7 times that, beside an edge.
        const byArea = (140 * 140) / (480 * 600);
        expect(share).to.be.above(5 * byArea);
      }),
      { numRuns: 30 },
    );
  });

  it("goes to the odd one out: by colour, by direction, and by being alone", () => {
    const bar = (x: number, y: number, turned = false): Box =>
      turned ? box(x, y + 10, 36, 12) : box(x + 12, y, 12, 36);
    const grid = Array.from({ length: 30 }, (_, i) => ({
      x: 20 + (i % 5) * 94,
      y: 20 + Math.floor(i / 5) * 96,
    }));
    const odd = grid[17]!;
    /** How much more the odd one has than the most that any other has. */
    const lead = (picture: Pixels): number => {
      const attention = attentionTo(picture);
      const shares = grid.map(({ x, y }) =>
        attentionIn(attention, [box(x - 12, y - 12, 60, 60)], sides),
      );
      return shares[17]! / Math.max(...shares.filter((_, i) => i !== 17));
    };
    const colours = painted(480, 600, (x, y) => {
      const at = grid.find((one) => isIn(bar(one.x, one.y), x, y));
      return at ? (at === odd ? CORAL : TIDE) : SAND;
    });
    const directions = painted(480, 600, (x, y) =>
      grid.some((one) => isIn(bar(one.x, one.y, one === odd), x, y)) ? TIDE : SAND,
    );
    expect(lead(colours)).to.be.above(1.3);
    expect(lead(directions)).to.be.above(1.3);
  });

  it("is all there is, and even where there is nothing", () => {
    const flat = attentionTo(painted(100, 100, () => TIDE));
    expect(Math.max(...flat)).to.equal(Math.min(...flat));
    expect(attentionIn(flat, [box(0, 0, 50, 100)], { width: 100, height: 100 })).to.be.closeTo(
      0.5,
      1e-9,
    );
    const one = attentionTo(painted(100, 100, (x, y) => (x > 70 && y < 30 ? CORAL : SAND)));
    expect(one.reduce((a, b) => a + b, 0)).to.be.closeTo(1, 1e-9);
  });
});
