import { expect } from "chai";
import { converter } from "culori";
import { labOf } from "./lab";

describe("CIELAB of many pixels", () => {
  it("is as a colour library has it, on every side of the cube and within", () => {
    const steps = [0, 1, 9, 10, 11, 63, 128, 200, 254, 255];
    const colours = steps.flatMap((r) =>
      steps.flatMap((g) => steps.map((b) => [r, g, b] as const)),
    );
    const picture = { data: Uint8Array.from(colours.flat()), width: colours.length, height: 1 };
    const axes = labOf(picture).map(({ values }) => values);
    const reference = converter("lab65");
    for (const [i, [r, g, b]] of colours.entries()) {
      const lab = reference({ mode: "rgb", r: r / 255, g: g / 255, b: b / 255 });
      for (const [axis, name] of (["l", "a", "b"] as const).entries())
        expect(axes[axis]![i]).to.be.closeTo(lab[name], 0.02);
    }
  });

  it("has white at 100 and all greys without colour", () => {
    const [l, a, b] = labOf({
      data: Uint8Array.from([255, 255, 255, 119, 119, 119]),
      width: 2,
      height: 1,
    });
    // 119 of 255 is the middle grey of L* = 50 (CIE 15, worked by hand).
    expect([...l.values].map(Math.round)).to.deep.equal([100, 50]);
    for (const { values } of [a, b])
      for (const value of values) expect(value).to.be.closeTo(0, 1e-9);
  });
});
