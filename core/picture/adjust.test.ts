import { expect } from "chai";
import sharp from "sharp";
import { adjust, sample, type Adjust, type Raster } from "./index";

const raster = (width: number, height: number, at: (x: number, y: number) => number[]): Raster => {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let i = 0; i < width * height; i++) {
    data.set(at(i % width, Math.floor(i / width)), i * 4);
  }
  return { data, width, height, opaque: true };
};
const flat = (r: number, g: number, b: number, side = 4) =>
  raster(side, side, () => [r, g, b, 255]);
const pixel = ({ data, width }: Raster, x = 0, y = 0) => [
  ...data.slice((y * width + x) * 4, (y * width + x) * 4 + 3),
];
const adjusted = (picture: Raster, by: Adjust, scale = 1): Raster => {
  adjust(picture, by, scale);
  return picture;
};

describe("adjustments", () => {
  it("follow their formulas", () => {
    // brightness: v + 0.4 b, so 100 + 0.4 · 0.5 · 255 = 151.
    expect(pixel(adjusted(flat(100, 100, 100), { brightness: 0.5 }))).to.deep.equal([
      151, 151, 151,
    ]);
    // contrast: (v − ½) · 2^1.5 + ½ of 100/255 is 0.195, that is 50.
    expect(pixel(adjusted(flat(100, 100, 100), { contrast: 1 }))[0]).to.be.closeTo(50, 1);
    // warmth: red · 1.14, blue · 0.86.
    expect(pixel(adjusted(flat(100, 100, 100), { warmth: 1 }))).to.deep.equal([114, 100, 86]);
    // Rec. 601 luma of pure red is 0.299: 76.
    expect(pixel(adjusted(flat(255, 0, 0), { greyscale: 1 }))).to.deep.equal([76, 76, 76]);
    expect(pixel(adjusted(flat(255, 0, 0), { saturation: -1 }))).to.deep.equal([76, 76, 76]);
    expect(pixel(adjusted(flat(0, 0, 0), { tint: { hex: "#808000", amount: 0.5 } }))).to.deep.equal(
      [64, 64, 0],
    );
  });

  it("print a duotone: black in the dark ink, white in the light, grey between", () => {
    const duotone = { dark: "#0C2B30", light: "#F6EFE2" };
    expect(pixel(adjusted(flat(0, 0, 0), { duotone }))).to.deep.equal([0x0c, 0x2b, 0x30]);
    expect(pixel(adjusted(flat(255, 255, 255), { duotone }))).to.deep.equal([0xf6, 0xef, 0xe2]);
    // 12 + (246 − 12) · 128/255 = 129.46
    expect(pixel(adjusted(flat(128, 128, 128), { duotone }))[0]).to.equal(129);
    // The table of the usual case and the general way agree.
    const general = adjusted(flat(90, 140, 20), { duotone, brightness: 0 });
    const quick = adjusted(flat(90, 140, 20), { duotone });
    general.data.forEach((value, i) => expect(value).to.be.closeTo(quick.data[i]!, 1));
  });

  it("darken corners and not the middle, and leave alpha alone", () => {
    const picture = raster(41, 41, () => [200, 200, 200, 9]);
    adjust(picture, { vignette: 1 }, 1);
    expect(pixel(picture, 20, 20)).to.deep.equal([200, 200, 200]);
    expect(pixel(picture, 0, 0)[0]).to.be.below(60);
    expect(picture.data[3]).to.equal(9);
  });

  it("grain by seed: the same again, another with another seed, and the same at twice the scale", () => {
    const grain = (seed: number) => ({ grain: { amount: 1, seed } });
    const one = adjusted(flat(128, 128, 128, 16), grain(1));
    expect([...one.data]).to.deep.equal([...adjusted(flat(128, 128, 128, 16), grain(1)).data]);
    expect([...one.data]).to.not.deep.equal([...adjusted(flat(128, 128, 128, 16), grain(2)).data]);
    const twice = adjusted(flat(128, 128, 128, 32), grain(1), 2);
    expect(pixel(twice, 20, 8)).to.deep.equal(pixel(one, 10, 4));
    const mean = one.data.filter((_, i) => i % 4 === 0).reduce((a, b) => a + b) / 256;
    expect(mean).to.be.closeTo(128, 8);
  });

  it("blur as a Gaussian does, by an independent library", async () => {
    const picture = raster(96, 96, (x, y) =>
      x > 40 && y > 30 ? [255, 255, 255, 255] : [0, 0, 0, 255],
    );
    const raw = { width: 96, height: 96, channels: 4 as const };
    const sigma = 4;
    const expected = await sharp(picture.data, { raw })
      .blur({ sigma, minAmplitude: 0.001, precision: "float" })
      .raw()
      .toBuffer();
    adjust(picture, { blur: sigma / 96 }, 1);
    const worst = Math.max(...picture.data.map((value, i) => Math.abs(value - expected[i]!)));
    expect(worst).to.be.below(9);
  });
});

describe("sampling", () => {
  const ramp = raster(64, 48, (x, y) => [x * 4, y * 5, (x * y) % 256, 255]);
  const upright = { turn: 0, flipH: false, flipV: false };
  const all = { x: 0, y: 0, width: 64, height: 48 };

  it("gives a picture back as it is at its own size", () => {
    const same = sample(ramp, { crop: all, ...upright }, 64, 48);
    expect([...same.data]).to.deep.equal([...ramp.data]);
  });

  it("makes smaller as an independent library does with the same kernel", async () => {
    const photo = sharp("demo/quillmere/pictures/harbour-boats.jpg").resize(300, 200, {
      fit: "fill",
    });
    const { data } = await photo.ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    const source = { data: new Uint8ClampedArray(data), width: 300, height: 200, opaque: true };
    const raw = { width: 300, height: 200, channels: 4 as const };
    const expected = await sharp(data, { raw })
      .resize(140, 90, { fit: "fill", kernel: "cubic" })
      .raw()
      .toBuffer();
    const own = sample(
      source,
      { crop: { x: 0, y: 0, width: 300, height: 200 }, ...upright },
      140,
      90,
    );
    const inner = own.data.map((value, i) => Math.abs(value - expected[i]!));
    // Only rounding in the library's fixed-point arithmetic, and its edge, may differ.
    expect(inner.filter((difference) => difference > 3).length / inner.length).to.be.below(0.01);
  });

  it("flips and turns: twice is as before", () => {
    const once = sample(ramp, { crop: all, turn: 0, flipH: true, flipV: true }, 64, 48);
    expect(pixel(once, 0, 0)).to.deep.equal(pixel(ramp, 63, 47));
    const half = sample(ramp, { crop: all, turn: 180, flipH: false, flipV: false }, 64, 48);
    for (const [x, y] of [
      [5, 7],
      [40, 20],
      [60, 44],
    ] as const) {
      pixel(half, x, y).forEach((value, c) =>
        expect(value).to.be.closeTo(pixel(once, x, y)[c]!, 2),
      );
    }
    const quarter = sample(
      ramp,
      { crop: { x: 8, y: 0, width: 48, height: 48 }, ...upright, turn: 90 },
      48,
      48,
    );
    // Clockwise: what was at the lower left is now at the upper left.
    pixel(quarter, 0, 0).forEach((value, c) =>
      expect(value).to.be.closeTo(pixel(ramp, 8, 47)[c]!, 3),
    );
  });

  it("weighs colours by how much they cover: no dark edge beside what is see-through", () => {
    const half = raster(8, 8, (x) => (x < 4 ? [255, 255, 255, 255] : [0, 0, 0, 0]));
    const { data } = sample(
      { ...half, opaque: false },
      { crop: { x: 0, y: 0, width: 8, height: 8 }, ...upright },
      5,
      5,
    );
    for (let i = 0; i < data.length; i += 4) if (data[i + 3]! > 8) expect(data[i]).to.be.above(250);
  });
});
