import { expect } from "chai";
import fc from "fast-check";
import { box } from "../geometry";
import { rasterOf, sample, type Raster, type View } from "./raster";

/** Keys (1981), equation 15 with a = −½, as it stands there. */
const keys = (s: number): number => {
  const d = Math.abs(s);
  if (d <= 1) return 1.5 * d ** 3 - 2.5 * d ** 2 + 1;
  return d <= 2 ? -0.5 * d ** 3 + 2.5 * d ** 2 - 4 * d + 2 : 0;
};

/** One output pixel by the definition: a sum over the whole picture, in double precision. */
function byDefinition(source: Raster, view: View, width: number, height: number, at: number) {
  const [x, y] = [at % width, Math.floor(at / width)];
  const { crop, flipH, flipV } = view;
  const [stepX, stepY] = [crop.width / width, crop.height / height];
  const cx = crop.x + ((flipH ? width - 1 - x : x) + 0.5) * stepX - 0.5;
  const cy = crop.y + ((flipV ? height - 1 - y : y) + 0.5) * stepY - 0.5;
  const sums = [0, 0, 0, 0];
  let all = 0;
  for (let j = 0; j < source.height; j++)
    for (let i = 0; i < source.width; i++) {
      const weight = keys((i - cx) / Math.max(1, stepX)) * keys((j - cy) / Math.max(1, stepY));
      const o = (j * source.width + i) * 4;
      const alpha = source.data[o + 3]!;
      all += weight;
      for (let c = 0; c < 3; c++) sums[c]! += (weight * alpha * source.data[o + c]!) / 255;
      sums[3]! += weight * alpha;
    }
  const alpha = sums[3]! / all;
  const colours = sums.slice(0, 3).map((sum) => (alpha > 0.5 ? ((sum / all) * 255) / alpha : 0));
  return [...colours, alpha].map((value) => Math.min(255, Math.max(0, value)));
}

const small = fc.integer({ min: 1, max: 24 });

describe("a picture at another size", () => {
  const cases = fc.record({
    from: fc.tuple(small, small),
    to: fc.tuple(small, small),
    part: fc.tuple(...Array.from({ length: 4 }, () => fc.double({ min: 0, max: 1, noNaN: true }))),
    flips: fc.tuple(fc.boolean(), fc.boolean()),
    opaque: fc.boolean(),
    seed: fc.integer({ min: 1 }),
  });

  it("is the cubic convolution of Keys, smaller or larger, flipped or see-through", () => {
    fc.assert(
      fc.property(cases, ({ from: [w, h], to: [width, height], part, flips, opaque, seed }) => {
        const data = Uint8ClampedArray.from({ length: w * h * 4 }, (_, i) =>
          opaque && i % 4 === 3 ? 255 : (Math.imul(i + 1, seed) >>> 7) & 255,
        );
        const source = rasterOf(data, w, h);
        const [x, y] = [part[0]! * 0.5 * w, part[1]! * 0.5 * h];
        const crop = box(x, y, (0.2 + 0.8 * part[2]!) * (w - x), (0.2 + 0.8 * part[3]!) * (h - y));
        const view: View = { crop, turn: 0, flipH: flips[0], flipV: flips[1] };
        const made = sample(source, view, width, height);
        expect(made).to.include({ width, height, opaque: source.opaque });
        for (let at = 0; at < width * height; at++) {
          const wanted = byDefinition(source, view, width, height, at);
          const alpha = made.data[at * 4 + 3]!;
          expect(alpha, "alpha").to.be.closeTo(wanted[3]!, 1);
          // A colour that hardly covers anything is told by hardly a number.
          const within = 1 + 128 / Math.max(1, alpha);
          for (let c = 0; c < 3 && alpha > 1; c++)
            expect(made.data[at * 4 + c], `pixel ${at}`).to.be.closeTo(wanted[c]!, within);
        }
      }),
    );
  });

  it("is the picture itself at its own size", () => {
    const data = Uint8ClampedArray.from({ length: 4 * 9 * 7 }, (_, i) =>
      i % 4 === 3 ? 255 : (i * 37) & 255,
    );
    const view: View = { crop: box(0, 0, 9, 7), turn: 0, flipH: false, flipV: false };
    expect([...sample(rasterOf(data, 9, 7), view, 9, 7).data]).to.deep.equal([...data]);
  });

  it("is the same after one that was very large", () => {
    const data = new Uint8ClampedArray(4 * 3000 * 2400).fill(255);
    const whole = rasterOf(data, 3000, 2400);
    const view: View = { crop: box(0, 0, 3000, 2400), turn: 0, flipH: false, flipV: false };
    const before = sample(whole, view, 30, 24).data;
    expect(sample(whole, view, 3300, 2640).data.every((value) => value === 255)).to.equal(true);
    expect([...sample(whole, view, 30, 24).data]).to.deep.equal([...before]);
  });
});
