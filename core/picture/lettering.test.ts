import { expect } from "chai";
import { findLettering } from "./index";

const [width, height] = [480, 320];

/** Shares of the sides that lines of letters take up on the drawing below. */
const BLOCK = { x: 0.25, y: 0.2, right: 0.75, bottom: 0.8 };

/** Paper that darkens to one side, with grey values from `ink` on it; every few pixels are a little off. */
function paper(ink: (x: number, y: number) => boolean, shade = 0.4) {
  const data = new Uint8Array(width * height);
  for (let i = 0; i < data.length; i++) {
    const [x, y] = [i % width, Math.floor(i / width)];
    const light = 235 * (1 - (shade * x) / width) + ((i * 7919) % 9);
    data[i] = ink(x, y) ? 0.3 * light : light;
  }
  return { data, width, height };
}

/** Lines of words of uneven letters, so many pixels from one to the next, slanting by a share of their length. */
const lines =
  (pitch: number, slant = 0) =>
  (x: number, y: number): boolean => {
    const across = x / width;
    const row = y + slant * x;
    if (across < BLOCK.x || across > BLOCK.right) return false;
    if (y / height < BLOCK.y || y / height > BLOCK.bottom) return false;
    const [line, letter] = [Math.floor(row / pitch), Math.floor(x / 3)];
    const isSpace = (letter * 31 + line * 17) % 7 === 0;
    return row % pitch < 0.45 * pitch && !isSpace && x % 3 < 2 && (letter * 13 + line) % 5 > 0;
  };

describe("lettering in a picture", () => {
  for (const [what, ink] of [
    ["fine", lines(7)],
    ["larger", lines(11)],
    ["slanting", lines(9, 0.03)],
  ] as const)
    it(`is boxed as far as it goes: ${what} print`, () => {
      const { x, y, width: w, height: h } = findLettering(paper(ink))!;
      // To a window's side.
      expect(x).to.be.closeTo(BLOCK.x, 0.06);
      expect(x + w).to.be.closeTo(BLOCK.right, 0.06);
      expect(y).to.be.closeTo(BLOCK.y, 0.09);
      expect(y + h).to.be.closeTo(BLOCK.bottom, 0.09);
    });

  it("is neither bare paper nor a grid of rules, bars, a crowd of dots nor a slope of light", () => {
    expect(findLettering(paper(() => false))).to.equal(undefined);
    expect(findLettering(paper((_, y) => y % 12 < 2))).to.equal(undefined);
    expect(findLettering(paper((x, y) => x % 14 < 3 || y % 14 < 3))).to.equal(undefined);
    expect(findLettering(paper((x) => x % 8 < 3))).to.equal(undefined);
    const dots = (x: number, y: number) =>
      Math.abs(Math.sin(x * 12.9898 + y * 78.233) * 43758.5453) % 1 < 0.25;
    expect(findLettering(paper(dots))).to.equal(undefined);
  });

  it("is not looked for in what is smaller than a window", () => {
    expect(findLettering({ data: new Uint8Array(100), width: 10, height: 10 })).to.equal(undefined);
  });
});
