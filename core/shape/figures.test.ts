import { createCanvas, Path2D } from "@napi-rs/canvas";
import { expect } from "chai";
import fc from "fast-check";
import readCode from "jsqr";
import svgpath from "svgpath";
import { demoSources } from "../../tests/support/demo";
import {
  codeFor,
  codeIn,
  iconPath,
  isOpen,
  outlineOf,
  overflows,
  shapeDefaults,
  ShapeKind,
  type ShapeSpec,
} from "./index";

const usual: Partial<Record<ShapeKind, { points: number; inner: number }>> = shapeDefaults;

const spec = (kind: ShapeKind, part: Partial<ShapeSpec> = {}): ShapeSpec => ({
  kind,
  corner: 0,
  ...(usual[kind] ?? { points: 6, inner: 1 }),
  ...part,
});

/** The box that a path's points and handles lie in. */
function reach(d: string): { left: number; top: number; right: number; bottom: number } {
  const xs: number[] = [];
  const ys: number[] = [];
  svgpath(d)
    .abs()
    .unarc()
    .iterate(([name, ...numbers]: [string, ...number[]]) => {
      if (name === "H") xs.push(numbers[0]!);
      else if (name === "V") ys.push(numbers[0]!);
      else numbers.forEach((value, i) => (i % 2 === 0 ? xs : ys).push(value));
    });
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    top: Math.min(...ys),
    bottom: Math.max(...ys),
  };
}

const closed = ShapeKind.options.filter(
  (kind) => !isOpen(kind) && !overflows(kind) && kind !== "path",
);

/** The share of a box that a shape inks when it is clipped to it. */
function inked(kind: ShapeKind, width: number, height: number, extent: number): number {
  const context = createCanvas(width, height).getContext("2d");
  context.fill(new Path2D(outlineOf(spec(kind), { x: 0, y: 0, width, height }, extent)));
  const { data } = context.getImageData(0, 0, width, height);
  let sum = 0;
  for (let i = 3; i < data.length; i += 4) sum += data[i]! / 255;
  return sum / (width * height);
}

describe("figures", () => {
  it("stay in their boxes, whatever the box", () => {
    const side = fc.double({ min: 20, max: 900, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...closed), side, side, (kind, width, height) => {
        const b = { x: 30, y: 40, width, height };
        const { left, right, top, bottom } = reach(outlineOf(spec(kind), b, 1000));
        // The handles of a scallop or a wave may lie a little outside of what is inked.
        const slack = 0.16 * Math.max(width, height) + 0.1;
        expect(left).to.be.at.least(30 - slack);
        expect(top).to.be.at.least(40 - slack);
        expect(right).to.be.at.most(30 + width + slack);
        expect(bottom).to.be.at.most(40 + height + slack);
      }),
    );
  });

  it("ink inside the box and nowhere else", () => {
    for (const kind of closed) {
      const context = createCanvas(140, 140).getContext("2d");
      context.fill(
        new Path2D(outlineOf(spec(kind), { x: 20, y: 20, width: 100, height: 100 }, 1000)),
      );
      const { data } = context.getImageData(0, 0, 140, 140);
      let [inside, outside] = [0, 0];
      for (let i = 0; i < 140 * 140; i++) {
        const [x, y] = [i % 140, Math.floor(i / 140)];
        const alpha = data[i * 4 + 3]! / 255;
        if (x >= 19 && x <= 120 && y >= 19 && y <= 120) inside += alpha;
        else outside += alpha;
      }
      expect(inside, kind).to.be.above(2000);
      expect(outside, kind).to.equal(0);
    }
  });

  it("fill a box with as much ink as geometry says, in any shape of box", () => {
    for (const [width, height] of [
      [300, 300],
      [500, 160],
      [140, 460],
    ] as const) {
      expect(inked("stripes", width, height, 400)).to.be.closeTo(0.028 / 0.062, 0.03);
      // Half of all directions, though a wide box has more of itself in some of them.
      expect(inked("rays", width, height, 400)).to.be.closeTo(0.5, 0.06);
      // Two dots to a field of one step square.
      const dots = (2 * Math.PI * 0.0115 ** 2) / 0.052 ** 2;
      expect(inked("dots", width, height, 400)).to.be.closeTo(dots, 0.1);
    }
  });

  it("tear a ticket along its long sides, and stand an arch on its width", () => {
    const notches = (width: number, height: number) =>
      (1 - inked("ticket", width, height, 400)) * width * height;
    // Two half discs.
    const disc = Math.PI * (0.065 * 200) ** 2;
    expect(notches(500, 200)).to.be.closeTo(disc, 12);
    expect(notches(200, 500)).to.be.closeTo(disc, 12);
    const arch = (Math.PI * 100 ** 2) / 2 + 200 * 200;
    expect(inked("arch", 200, 300, 400)).to.be.closeTo(arch / (200 * 300), 0.005);
  });

  it("have as many corners as they are given", () => {
    const b = { x: 0, y: 0, width: 100, height: 100 };
    const corners = (d: string) => d.split(/[ML]/).length - 1;
    expect(corners(outlineOf(spec("polygon", { points: 8 }), b, 1))).to.equal(8);
    expect(corners(outlineOf(spec("star", { points: 7 }), b, 1))).to.equal(14);
  });

  it("fit any path to its box", () => {
    const path = { d: "M0 0L10 5L0 10Z", width: 10, height: 10 };
    const d = outlineOf(spec("path", { path }), { x: 100, y: 200, width: 40, height: 20 }, 1);
    expect(d).to.equal("M100 200L140 210 100 220Z");
  });
});

describe("icons", () => {
  it("become one path each, with every part where it belongs", async () => {
    const { icons } = await demoSources();
    for (const name of ["anchor", "calendar-days", "circle-help", "sun", "ticket", "trophy"]) {
      const icon = icons(name);
      if (!icon) continue;
      const { left, right, top, bottom } = reach(iconPath(icon));
      for (const edge of [left, top]) expect(edge, name).to.be.at.least(0);
      for (const edge of [right, bottom]) expect(edge, name).to.be.at.most(24);
    }
    expect(icons("anchor")).to.be.an("array");
    expect(icons("no such icon")).to.equal(undefined);
  });
});

describe("codes", () => {
  it("are read by an independent reader", () => {
    for (const text of ["https://quillmere.example/boats", "Größe: 12 €", "x".repeat(400)]) {
      const side = 420;
      const canvas = createCanvas(side, side);
      const context = canvas.getContext("2d");
      context.fillStyle = "#F6EFE2";
      context.fillRect(0, 0, side, side);
      context.fillStyle = "#123A3F";
      context.fill(new Path2D(codeIn(codeFor(text)!, { x: 0, y: 0, width: side, height: side }).d));
      const { data } = context.getImageData(0, 0, side, side);
      expect(readCode(new Uint8ClampedArray(data), side, side)?.data).to.equal(text);
    }
  });

  it("have modules of whole pixels, and refuse what is too long", () => {
    const code = codeFor("boats")!;
    const { box } = codeIn(code, { x: 10.3, y: 20, width: 200, height: 130 });
    expect(box.width % code.side).to.equal(0);
    expect(Number.isInteger(box.x)).to.equal(true);
    expect(codeFor("x".repeat(2332))).to.equal(undefined);
  });
});
