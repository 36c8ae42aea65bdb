import { expect } from "chai";
import { familiesIn } from "./index";

/** Rows of one colour each, from RGB bytes. */
const rows = (...colours: [number, number, number][]) => ({
  data: Uint8Array.from(
    colours.flatMap((colour) => Array.from({ length: 10 }, () => colour).flat()),
  ),
  width: 10,
  height: colours.length,
});
const SKY: [number, number, number] = [80, 150, 230];
const SAND: [number, number, number] = [245, 205, 90];
const STONE: [number, number, number] = [120, 122, 121];

describe("the colours of a picture", () => {
  it("are those that take enough of it, the largest first", () => {
    expect(familiesIn(rows(SAND, SKY, SKY))).to.deep.equal(["blue", "yellow"]);
    const few = rows(SAND, ...Array.from({ length: 19 }, () => SKY));
    expect(familiesIn(few)).to.deep.equal(["blue"]);
  });

  it("are greys only where there is little else", () => {
    expect(familiesIn(rows(STONE, SKY, SKY))).to.deep.equal(["blue"]);
    expect(familiesIn(rows(STONE, STONE, SKY))).to.deep.equal(["grey", "blue"]);
  });
});
