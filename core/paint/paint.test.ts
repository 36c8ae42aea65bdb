import { createCanvas, Path2D, type Canvas } from "@napi-rs/canvas";
import { expect } from "chai";
import { rectangle, waves } from "../shape";
import type { Scene, SceneItem } from "../scene";
import { paint, pathCache } from "./index";

const item = (part: object): SceneItem => ({ node: "n", opacity: 1, ...part }) as SceneItem;

function pixels(items: SceneItem[], scale: number, at: [number, number][]): number[][] {
  const scene: Scene = { width: 20, height: 10, ground: "#000000", items };
  const canvas = createCanvas(20 * scale, 10 * scale);
  const context = canvas.getContext("2d");
  const materials = { path: (d: string) => new Path2D(d), picture: () => undefined };
  paint<Path2D, Canvas>(context as never, scene, materials, scale);
  return at.map(([x, y]) => [...context.getImageData(x, y, 1, 1).data.slice(0, 3)]);
}

describe("paint", () => {
  it("paints shapes at any scale without a new layout", () => {
    const square = item({
      kind: "path",
      d: rectangle({ x: 4, y: 2, width: 4, height: 4 }),
      fill: { kind: "flat", hex: "#FF0000" },
    });
    for (const scale of [1, 3]) {
      const [inside, outside] = pixels([square], scale, [
        [5 * scale, 3 * scale],
        [12 * scale, 3 * scale],
      ]);
      expect(inside).to.deep.equal([255, 0, 0]);
      expect(outside).to.deep.equal([0, 0, 0]);
    }
  });

  it("turns about the given point, and mixes by opacity", () => {
    const bar = {
      kind: "path",
      d: rectangle({ x: 4, y: 4, width: 12, height: 2 }),
      fill: { kind: "flat", hex: "#FFFFFF" },
    };
    const turn = { degrees: 90, about: { x: 10, y: 5 } };
    const at: [number, number][] = [
      [5, 5],
      [10, 1],
    ];
    expect(pixels([item(bar)], 1, at)).to.deep.equal([
      [255, 255, 255],
      [0, 0, 0],
    ]);
    expect(pixels([item({ ...bar, turn })], 1, at)).to.deep.equal([
      [0, 0, 0],
      [255, 255, 255],
    ]);
    const [half] = pixels([item({ ...bar, opacity: 0.5 })], 1, [[10, 5]]);
    expect(half![0]).to.be.closeTo(128, 1);
  });

  it("sets a glyph's outline upright: font units grow upwards, pixels downwards", () => {
    const outline = "M0,0L500,0L500,1000L0,1000Z";
    const glyphs = [{ outline, unitsPerEm: 1000, x: 2, y: 8 }];
    const text = item({ kind: "glyphs", text: "|", size: 6, colour: "#00FF00", glyphs });
    const [above, below] = pixels([text], 1, [
      [3, 4],
      [3, 9],
    ]);
    expect(above).to.deep.equal([0, 255, 0]);
    expect(below).to.deep.equal([0, 0, 0]);
  });

  it("keeps what is clipped inside its box", () => {
    const box = { x: 0, y: 0, width: 20, height: 5 };
    const { d, strokeWidth } = waves(box, 40);
    const band = item({
      kind: "path",
      d,
      stroke: { hex: "#FFFFFF", width: strokeWidth, dash: [], cap: "butt", join: "round" },
      clip: box,
    });
    const below = Array.from({ length: 20 }, (_, x): [number, number] => [x, 7]);
    for (const pixel of pixels([band], 1, below)) expect(pixel).to.deep.equal([0, 0, 0]);
  });

  it("covers the last row of pixels whole, whatever was there before", () => {
    const canvas = createCanvas(10, 7);
    const context = canvas.getContext("2d");
    context.fillStyle = "#FFFFFF";
    context.fillRect(0, 0, 10, 7);
    const scene: Scene = { width: 20, height: 13, ground: "#000000", items: [] };
    const materials = { path: (d: string) => new Path2D(d), picture: () => undefined };
    paint<Path2D, Canvas>(context as never, scene, materials, 0.5);
    expect([...context.getImageData(5, 6, 1, 1).data]).to.deep.equal([0, 0, 0, 255]);
  });

  it("runs a gradient from its first stop to its last, and casts a shadow of its own size at any scale", () => {
    const wide = rectangle({ x: 0, y: 0, width: 20, height: 10 });
    const stops = [
      { at: 0, hex: "#FF0000", alpha: 1 },
      { at: 1, hex: "#0000FF", alpha: 1 },
    ];
    const fill = { kind: "linear", from: { x: 0, y: 0 }, to: { x: 20, y: 0 }, stops };
    const [left, right] = pixels([item({ kind: "path", d: wide, fill })], 1, [
      [0, 5],
      [19, 5],
    ]);
    expect(left![0]).to.be.above(240);
    expect(right![2]).to.be.above(240);
    const d = rectangle({ x: 2, y: 2, width: 4, height: 4 });
    const green = { hex: "#00FF00", alpha: 1, x: 8, y: 0, blur: 0 };
    for (const scale of [1, 2]) {
      const [shadow] = pixels(
        [item({ kind: "path", d, fill: { kind: "flat", hex: "#FF0000" }, shadow: green })],
        scale,
        [[12 * scale, 4 * scale]],
      );
      expect(shadow).to.deep.equal([0, 255, 0]);
    }
  });

  it("multiplies and screens as the compositing standard says", () => {
    // W3C Compositing and Blending Level 1: multiply is a·b, screen is a + b − a·b.
    const d = rectangle({ x: 0, y: 0, width: 20, height: 10 });
    const under = item({ kind: "path", d, fill: { kind: "flat", hex: "#804020" } });
    const over = (blend: string) =>
      item({ kind: "path", d, fill: { kind: "flat", hex: "#8080FF" }, blend });
    const [multiplied] = pixels([under, over("multiply")], 1, [[5, 5]]);
    const [screened] = pixels([under, over("screen")], 1, [[5, 5]]);
    [64, 32, 32].forEach((value, i) => expect(multiplied![i]).to.be.closeTo(value, 1));
    [192, 160, 255].forEach((value, i) => expect(screened![i]).to.be.closeTo(value, 1));
  });

  it("parses a path once", () => {
    let parsed = 0;
    const path = pathCache((d) => ({ d, number: ++parsed }));
    expect(path("M0 0")).to.equal(path("M0 0"));
    expect(parsed).to.equal(1);
  });
});
