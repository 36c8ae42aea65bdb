import { expect } from "chai";
import { rasterOf, readArt } from "./index";

type Colour = [r: number, g: number, b: number, a: number];
const NOTHING: Colour = [0, 0, 0, 0];
const WHITE: Colour = [255, 255, 255, 255];
const BROWN: Colour = [122, 62, 29, 255];

/** A picture of `width` × `height` with filled boxes on a ground. */
function drawn(
  width: number,
  height: number,
  ground: Colour,
  boxes: [number, number, number, number][],
) {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const inked = boxes.some(([l, t, w, h]) => x >= l && x < l + w && y >= t && y < t + h);
      data.set(inked ? BROWN : ground, (y * width + x) * 4);
    }
  return rasterOf(data, width, height);
}

describe("a drawing's ink", () => {
  it("is found without the air in its file, on nothing and on a flat ground", () => {
    for (const ground of [NOTHING, WHITE]) {
      const art = readArt(drawn(200, 100, ground, [[50, 20, 100, 60]]))!;
      expect(art).to.deep.include({ x: 0.25, y: 0.2, width: 0.5, height: 0.6 });
      expect(art.ground).to.equal(ground === WHITE ? "#FFFFFF" : undefined);
      // Relative luminance of #7A3E1D by WCAG 2.2: 0.0760.
      expect(art.dark).to.be.closeTo(0.076, 0.001);
    }
  });

  it("is not looked for in a photograph", () => {
    const data = Uint8ClampedArray.from({ length: 64 * 64 * 4 }, (_, i) =>
      i % 4 === 3 ? 255 : (i * 7919) % 251,
    );
    expect(readArt(rasterOf(data, 64, 64))).to.equal(undefined);
  });

  const letters = (from: number, top: number, height: number): [number, number, number, number][] =>
    Array.from({ length: 6 }, (_, i) => [from + i * 14, top, 10, height]);

  it("has a mark where one stands apart from letters, beside them or above", () => {
    const beside = readArt(drawn(200, 60, NOTHING, [[0, 5, 50, 50], ...letters(70, 15, 30)]))!;
    expect(beside.mark).to.deep.equal({ x: 0, y: 5 / 60, width: 0.25, height: 50 / 60 });
    const above = readArt(drawn(120, 120, NOTHING, [[35, 0, 50, 60], ...letters(15, 80, 20)]))!;
    expect(above.mark).to.deep.equal({ x: 35 / 120, y: 0, width: 50 / 120, height: 0.5 });
    expect(readArt(drawn(200, 60, NOTHING, letters(20, 10, 40)))!.mark).to.equal(undefined);
  });
});
