import { createCanvas, Path2D } from "@napi-rs/canvas";
import { expect } from "chai";
import { innerBox, outlineOf, shareInside, shapeDefaults, type ShapeSpec } from "./index";

const BOX = { x: 30, y: 20, width: 300, height: 200 };

const spec = (kind: ShapeSpec["kind"]): ShapeSpec => ({
  kind,
  corner: 12,
  points: kind === "star" ? shapeDefaults.star.points : 6,
  inner: kind === "star" ? shapeDefaults.star.inner : 0.94,
});

/** The share of a box that a painter fills; it knows nothing of how we count. */
function painted(d: string, b: typeof BOX): number {
  const context = createCanvas(b.width, b.height).getContext("2d");
  context.translate(-b.x, -b.y);
  context.fill(new Path2D(d));
  const { data } = context.getImageData(0, 0, b.width, b.height);
  let sum = 0;
  for (let i = 3; i < data.length; i += 4) sum += data[i]! / 255;
  return sum / (b.width * b.height);
}

describe("what lies inside a shape", () => {
  const kinds = ["leaf", "arch", "ellipse", "diamond", "star", "pebble", "blob", "speech"] as const;
  for (const kind of kinds)
    it(`is what a painter fills: ${kind}`, () => {
      const d = outlineOf(spec(kind), BOX, 245);
      const corner = { ...BOX, width: 110, height: 90 };
      for (const part of [BOX, corner])
        expect(shareInside(d, part)).to.be.closeTo(painted(d, part), 0.035);
      const inner = innerBox(spec(kind), BOX)!;
      if (kind !== "star") expect(painted(d, roundedIn(inner))).to.be.above(0.96);
    });

  it("has the area that geometry says", () => {
    expect(shareInside(outlineOf(spec("ellipse"), BOX, 245), BOX)).to.be.closeTo(Math.PI / 4, 0.02);
    expect(shareInside(outlineOf(spec("diamond"), BOX, 245), BOX)).to.be.closeTo(0.5, 0.04);
  });
});

const roundedIn = ({ x, y, width, height }: typeof BOX): typeof BOX => ({
  x: Math.ceil(x),
  y: Math.ceil(y),
  width: Math.floor(width),
  height: Math.floor(height),
});
