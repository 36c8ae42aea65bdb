import { expect } from "chai";
import { nearlyAll } from "./common";

const of = (...sizes: number[]) => sizes.map((size) => ({ size, count: 1 }));

describe("the size that words of a set have in common", () => {
  it("is the least of them, so that all can have it", () => {
    expect(nearlyAll(of(140, 120, 130, 125), 0)).to.equal(120);
  });

  it("is not what one of many needs", () => {
    expect(nearlyAll(of(110, ...Array<number>(11).fill(120)), 0)).to.equal(120);
  });

  it("is not what a third needs at the most, where all others can be far larger", () => {
    expect(nearlyAll(of(60, 120, 130, 125), 0)).to.equal(120);
    expect(nearlyAll(of(60, 60, 130, 125), 0)).to.equal(60);
  });

  it("lets a few be hard to read rather than all", () => {
    expect(nearlyAll(of(12, 14, 14, 14), 13)).to.equal(14);
    expect(nearlyAll(of(12, 12.5, 12.8), 13)).to.equal(12);
  });

  it("counts each as often as it stands for others, and is nothing where there is none", () => {
    expect(
      nearlyAll(
        [
          { size: 100, count: 1 },
          { size: 110, count: 30 },
        ],
        0,
      ),
    ).to.equal(110);
    expect(nearlyAll([], 0)).to.equal(undefined);
  });
});
