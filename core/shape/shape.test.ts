import { createCanvas, Path2D } from "@napi-rs/canvas";
import { expect } from "chai";
import { ellipse, rectangle, waves } from "./index";

const box = { x: 10, y: 20, width: 120, height: 60 };

/** The area that a path covers, counted in pixels. */
function areaOf(d: string): number {
  const context = createCanvas(160, 110).getContext("2d");
  context.fill(new Path2D(d));
  const { data } = context.getImageData(0, 0, 160, 110);
  let sum = 0;
  for (let i = 3; i < data.length; i += 4) sum += data[i]! / 255;
  return sum;
}

describe("shapes", () => {
  it("cover what geometry says", () => {
    expect(areaOf(rectangle(box))).to.be.closeTo(120 * 60, 1);
    expect(areaOf(ellipse(box))).to.be.closeTo(Math.PI * 60 * 30, 20);
    // A rectangle less the four corners outside their quarter circles.
    expect(areaOf(rectangle(box, 20))).to.be.closeTo(120 * 60 - (4 - Math.PI) * 20 ** 2, 8);
  });

  it("round no further than half the shorter side: that is a pill", () => {
    expect(rectangle(box, 999)).to.equal(rectangle(box, 30));
    expect(areaOf(rectangle(box, 999))).to.be.closeTo(60 * 60 + Math.PI * 30 ** 2, 20);
  });

  it("draw waves like a sine, within a fiftieth of their height", () => {
    const { d } = waves({ x: 0, y: 0, width: 400, height: 60 }, 1000);
    const numbers = d.match(/-?[\d.]+/g)!.map(Number);
    const [x0, y0, c1x, c1y, c2x, c2y, x1, y1] = numbers as [
      number,
      number,
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    const amplitude = 0.024 * 1000;
    for (let t = 0; t <= 1; t += 0.05) {
      const u = 1 - t;
      const bezier = (a: number, b: number, c: number, e: number) =>
        u ** 3 * a + 3 * u * u * t * b + 3 * u * t * t * c + t ** 3 * e;
      const x = bezier(x0, c1x, c2x, x1);
      const y = bezier(y0, c1y, c2y, y1);
      const sine = y0 - Math.sin((Math.PI * (x - x0)) / (x1 - x0)) * amplitude;
      expect(Math.abs(y - sine)).to.be.below(0.02 * amplitude);
    }
  });

  it("begin waves at the frame, so that neighbours match", () => {
    const left = waves({ x: 0, y: 0, width: 300, height: 40 }, 1000).d;
    const right = waves({ x: 300, y: 0, width: 300, height: 40 }, 1000).d;
    const starts = (d: string) => Number(/^M(-?[\d.]+)/.exec(d)![1]);
    expect(starts(left) % 86).to.equal(0);
    expect(starts(right) % 86).to.equal(0);
  });
});
