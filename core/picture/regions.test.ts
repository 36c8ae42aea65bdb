import { expect } from "chai";
import fc from "fast-check";
import { grownTo, otsu, regionsAbove } from "./regions";

const field = (list: readonly number[], width: number) => ({
  values: Float64Array.from(list),
  width,
  height: list.length / width,
});

/** The weighted variance within the two classes, which Otsu's threshold makes least. */
function within(values: readonly number[], threshold: number): number {
  const spread = (list: readonly number[]) => {
    const mean = list.reduce((a, b) => a + b, 0) / list.length;
    return list.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  };
  const [low, high] = [values.filter((v) => v < threshold), values.filter((v) => v >= threshold)];
  return low.length === 0 || high.length === 0 ? Infinity : spread(low) + spread(high);
}

describe("a threshold between ground and figure", () => {
  it("makes the variance within both least, as its source defines it", () => {
    const levels = fc.array(fc.integer({ min: 0, max: 63 }), { minLength: 20, maxLength: 80 });
    fc.assert(
      fc.property(levels, (list) => {
        // With 64 as the most, each value is a level of its own.
        const values = [...list, 64];
        const found = within(values, otsu(field(values, values.length)));
        const best = Math.min(...Array.from({ length: 64 }, (_, i) => within(values, i + 1)));
        expect(found).to.be.at.most(best * 1.0001 + 40);
      }),
    );
  });
});

describe("regions of a field", () => {
  const map = field([5, 5, 0, 0, 0, 0, 0, 0, 9, 0, 0, 3, 3, 9, 0], 5);

  it("are what is joined side by side, not across corners", () => {
    expect(regionsAbove(map, 4).map((region) => region.length)).to.deep.equal([2, 2]);
  });

  it("grow to what is joined to them and a little less", () => {
    const core = regionsAbove(map, 9).flat();
    expect(grownTo(core, map, 3).sort((a, b) => a - b)).to.deep.equal([8, 11, 12, 13]);
  });
});
