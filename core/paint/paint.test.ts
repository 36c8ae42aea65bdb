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
      pen: { hex: "#FFFFFF", width: strokeWidth, dash: [], cap: "butt", join: "round" },
      clip: box,
    });
    const below = Array.from({ length: 20 }, (_, x): [number, number] => [x, 7]);
    for (const pixel of pixels([band], 1, below)) expect(pixel).to.deep.equal([0, 0, 0]);
  });

  it("parses a path once", () => {
    let parsed = 0;
    const path = pathCache((d) => ({ d, number: ++parsed }));
    expect(path("M0 0")).to.equal(path("M0 0"));
    expect(parsed).to.equal(1);
  });
});
