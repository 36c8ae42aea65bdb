import { expect } from "chai";
import { rasterOf } from "../picture";
import { inOneColour, withoutGround } from "./index";

const SIDE = 60;
const INK = [18, 58, 63] as const;
const DARK = [10, 20, 40] as const;

/** A disc with a softened edge in one colour on another: `cover` says how much of the disc a pixel shows. */
function disc(ink: readonly number[], ground: readonly number[]) {
  const data = new Uint8ClampedArray(SIDE * SIDE * 4);
  const cover = new Float64Array(SIDE * SIDE);
  for (let y = 0; y < SIDE; y++) {
    for (let x = 0; x < SIDE; x++) {
      const distance = Math.hypot(x - SIDE / 2, y - SIDE / 2);
      const share = Math.min(1, Math.max(0, 18.5 - distance));
      cover[y * SIDE + x] = share;
      const at = (y * SIDE + x) * 4;
      for (const c of [0, 1, 2]) data[at + c] = ground[c]! + (ink[c]! - ground[c]!) * share;
      data[at + 3] = 255;
    }
  }
  return { picture: rasterOf(data, SIDE, SIDE), cover };
}

describe("a logo cut out of its ground", () => {
  for (const [name, ground] of [
    ["white", [255, 255, 255]],
    ["a dark colour", DARK],
  ] as const) {
    const ink = name === "white" ? INK : ([237, 182, 74] as const);
    const { picture, cover } = disc(ink, ground);

    it(`gives back how much of each pixel the ink covers, on ${name}`, () => {
      const { data } = withoutGround(picture)!;
      cover.forEach((share, i) => {
        expect(data[i * 4 + 3]! / 255).to.be.closeTo(share, 0.03);
        if (share > 0.1) expect(data[i * 4]).to.be.closeTo(ink[0], 2);
      });
    });

    it(`is filled with one colour inside its outline, on ${name}`, () => {
      const { data } = inOneColour(picture, "#FFFFFF")!;
      const middle = (SIDE / 2) * (SIDE + 1) * 4;
      expect([...data.slice(middle, middle + 4)]).to.deep.equal([255, 255, 255, 255]);
      expect(data[3]).to.equal(0);
    });
  }

  it("is refused where there is no flat ground", () => {
    const noise = new Uint8ClampedArray(SIDE * SIDE * 4).map((_, i) =>
      i % 4 === 3 ? 255 : (i * 7919) % 251,
    );
    expect(withoutGround(rasterOf(noise, SIDE, SIDE))).to.equal(undefined);
  });
});
