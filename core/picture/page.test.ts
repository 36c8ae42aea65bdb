import { expect } from "chai";
import { isPage } from "./index";

const [width, height] = [320, 220];
const drawn = (value: (x: number, y: number) => number) => ({
  data: Uint8Array.from({ length: width * height }, (_, i) =>
    value(i % width, Math.floor(i / width)),
  ),
  width,
  height,
});

describe("a page", () => {
  it("is flat paper with lines, boxes and letters on it", () => {
    const letters = (x: number, y: number) => y % 14 < 6 && x > 30 && x < 290 && x % 7 < 2;
    const panel = (x: number, y: number) => y < 24 || x < 12;
    expect(isPage(drawn((x, y) => (panel(x, y) ? 40 : letters(x, y) ? 30 : 246)))).to.equal(true);
  });

  it("is neither a sky nor texture, nor a ball on a flat ground", () => {
    expect(isPage(drawn((_, y) => 255 - y))).to.equal(false);
    expect(isPage(drawn((x, y) => (x * 7919 + y * 104729) % 256))).to.equal(false);
    const disc = (x: number, y: number) =>
      Math.min(1, Math.max(0, (Math.hypot(x - 160, y - 110) - 80) / 4));
    expect(isPage(drawn((x, y) => 60 + 170 * disc(x, y)))).to.equal(false);
  });
});
