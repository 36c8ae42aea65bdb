import { expect } from "chai";
import { catalogue, MOST_PIXELS, refuseUnpaintable } from "./index";

describe("sizes that can be painted", () => {
  it("are all that are in the catalogue, also at twice their size", () => {
    for (const placement of catalogue.placements) refuseUnpaintable(placement, 2);
  });

  it("are named when one is too large, in its own shape", () => {
    const wall = { name: "House wall", width: 20_000, height: 10_000 };
    expect(() => refuseUnpaintable(wall)).to.throw("House wall would be 20000 × 10000 px");
    try {
      refuseUnpaintable(wall);
    } catch (error) {
      const [, width, height] = (error as Error).message
        .match(/shape is (\d+) × (\d+)/)!
        .map(Number);
      expect(width! / height!).to.be.closeTo(2, 0.001);
      refuseUnpaintable({ ...wall, width: width!, height: height! });
      expect(width! * height!).to.be.above(0.99 * MOST_PIXELS);
    }
  });
});
