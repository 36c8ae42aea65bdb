import { expect } from "chai";
import fc from "fast-check";
import { barrierFromEdge } from "./barrier";

/** By definition: for each floor that a way may not go below, the lowest ceiling that lets one through to the pixel. */
function byDefinition(values: Float64Array, width: number, height: number): Float64Array {
  const best = new Float64Array(values.length).fill(Infinity);
  const levels = [...new Set(values)];
  for (const floor of levels)
    for (const ceiling of levels.filter((level) => level >= floor))
      for (const pixel of reached(values, width, height, floor, ceiling))
        best[pixel] = Math.min(best[pixel]!, ceiling - floor);
  return best;
}

/** The pixels that a way from the edge leads to between a floor and a ceiling. */
function reached(
  values: Float64Array,
  width: number,
  height: number,
  floor: number,
  ceiling: number,
): Set<number> {
  const open = (i: number) => values[i]! >= floor && values[i]! <= ceiling;
  const isEdge = (x: number, y: number) =>
    x === 0 || y === 0 || x === width - 1 || y === height - 1;
  const found = new Set(
    [...values.keys()].filter((i) => isEdge(i % width, Math.floor(i / width)) && open(i)),
  );
  for (const at of found)
    for (const next of [
      at % width > 0 ? at - 1 : -1,
      at % width < width - 1 ? at + 1 : -1,
      at - width,
      at + width,
    ])
      if (next >= 0 && next < values.length && open(next)) found.add(next);
  return found;
}

describe("the barrier from the edge", () => {
  it("is what its definition says for nearly all pixels, and never less", () => {
    let [same, all] = [0, 0];
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 56, maxLength: 56 }),
        (list) => {
          const values = Float64Array.from(list);
          const exact = byDefinition(values, 8, 7);
          barrierFromEdge(values, 8, 7).forEach((value, i) => {
            expect(value).to.be.at.least(exact[i]!);
            all++;
            if (value === exact[i]) same++;
          });
        },
      ),
      { seed: 11 },
    );
    expect(same / all).to.be.above(0.97);
  });

  it("is nothing on a slow gradient seen from its own height, and all of a step", () => {
    const slope = Float64Array.from({ length: 100 }, (_, i) => i % 10);
    expect(Math.max(...barrierFromEdge(slope, 10, 10))).to.equal(0);
    const step = slope.map((_, i) => (i % 10 > 3 && i % 10 < 6 && i > 40 && i < 60 ? 50 : 0));
    expect(barrierFromEdge(step, 10, 10)[45]).to.equal(50);
  });
});
