import { inflateSync } from "node:zlib";
import { createCanvas, Path2D } from "@napi-rs/canvas";
import { expect } from "chai";
import sharp from "sharp";
import { paint } from "../../../core/paint";
import { isPicture, type Piece } from "../../../core/piece";
import { placementById } from "../../../core/placements";
import type { Scene, SceneItem } from "../../../core/scene";
import { rectangle, waves } from "../../../core/shape";
import { demoPictures, demoPieces } from "../../../tests/support/demo";
import { strangeFiles } from "../../../tests/support/strangers";
import { encodePixels } from "../encode";
import { Studio } from "../studio";
import { Bands } from "./bands";
import { joinJpegs } from "./jpeg";
import { Outlines } from "./outlines";
import { withoutAlpha } from "./pixels";
import { joinPngBands, pngBand } from "./png";
import { reach, type Rows } from "./reach";

/** Read strictly: a warning is a failure. */
const decoded = (image: Buffer) =>
  sharp(image, { failOn: "warning" }).removeAlpha().raw().toBuffer();

/** Pixels that no two rows have in common, RGB. */
function noise(width: number, height: number): Buffer {
  let state = 7;
  const next = () => (state = (state * 48_271) % 2_147_483_647);
  return Buffer.from(Uint8Array.from({ length: width * height * 3 }, () => next() & 255));
}

/** Cut into bands of `rows` rows, the last of what is left. */
function cutInto(pixels: Buffer, width: number, rows: number): Buffer[] {
  const bytes = rows * width * 3;
  return Array.from({ length: Math.ceil(pixels.length / bytes) }, (_, at) =>
    pixels.subarray(at * bytes, (at + 1) * bytes),
  );
}

describe("bands that are put together", () => {
  // More than eight, after which restart markers are numbered from the first; edges that are no whole blocks.
  for (const [width, height, rows] of [
    [50, 333, 32],
    [64, 48, 16],
    [17, 40, 48],
  ] as const)
    it(`are the JPEG that is encoded whole: ${width} × ${height}, of ${rows} rows`, async () => {
      const pixels = noise(width, height);
      const encode = (data: Buffer) =>
        encodePixels({ data, width, height: data.length / width / 3, channels: 3 }, "jpeg");
      const bands = await Promise.all(cutInto(pixels, width, rows).map(encode));
      const joined = joinJpegs(bands, height);
      const about = await sharp(joined).metadata();
      expect([about.width, about.height]).to.deep.equal([width, height]);
      const whole = await decoded(await encode(pixels));
      expect((await decoded(joined)).equals(whole)).to.equal(true);
    });

  it("are the pixels again as PNG, with the sum of RFC 1950 over all of them", async () => {
    const [width, height] = [41, 300];
    const pixels = noise(width, height);
    const bands = await Promise.all(cutInto(pixels, width, 64).map((band) => pngBand(band, width)));
    const joined = joinPngBands(bands, width, height);
    expect((await decoded(joined)).equals(pixels)).to.equal(true);
    // The reader of pictures forgives a wrong sum; the one of streams does not.
    const at = joined.indexOf("IDAT");
    const stream = joined.subarray(at + 4, at + 4 + joined.readUInt32BE(at - 4));
    expect(inflateSync(stream)).to.have.lengthOf(height * (3 * width + 1));
    stream[stream.length - 1]! ^= 1;
    expect(() => inflateSync(stream)).to.throw("incorrect data check");
  });
});

describe("pixels without their alpha", () => {
  it("are what they were, however many there are", () => {
    for (let count = 1; count <= 9; count++) {
      const rgba = Uint8ClampedArray.from({ length: 4 * count }, (_, at) => 7 * at + 200);
      const rgb = [...rgba].filter((_, at) => at % 4 < 3);
      expect([...withoutAlpha(rgba)], `${count}`).to.deep.equal(rgb);
    }
  });
});

describe("a picture made in bands", () => {
  const SIZES = [
    ["photo-feed-tall", 0.6],
    ["story", 0.6],
    ["photo-feed-wide", 1],
    ["ad-leaderboard", 2],
  ] as const;

  const say = (piece: Piece, slot: string, text: string): Piece => ({
    ...piece,
    message: { ...piece.message, [slot]: { text } },
  });

  /** As siblings of a batch are: each differs from the one before in one thing, and the first comes again. */
  function siblings(piece: Piece): Piece[] {
    const { picture } = piece.message;
    const other: Piece["message"] = isPicture(picture)
      ? { picture: { picture: demoPictures()[3]! } }
      : {};
    return [
      piece,
      say(piece, "headline", "Gentle hours by night"),
      say(piece, "headline", "Gentle hours by day"),
      say(piece, "support", "Another sentence, about as long"),
      say(piece, "cta", "Go"),
      { ...piece, message: { ...piece.message, ...other } },
      piece,
    ];
  }

  for (const { piece, brand } of demoPieces())
    it(`is what is painted whole, whatever was made before: ${piece.id}`, async () => {
      const studio = new Studio(strangeFiles);
      for (const [placement, scale] of SIZES)
        for (const [at, one] of siblings(piece).entries()) {
          const { scene } = await studio.make(one, brand, placementById(placement));
          const { data } = await studio.painter.paint(scene, scale);
          const image = await decoded(await studio.encode(scene, "png", scale));
          expect(image.equals(data), `${placement}, sibling ${at}`).to.equal(true);
        }
    });

  it("is painted again only where another thing stands", async () => {
    const { piece, brand } = demoPieces().find(
      ({ piece: { id } }) => id === "opening-announcement",
    )!;
    const studio = new Studio(strangeFiles);
    const bands = new Bands();
    const painted: Rows[] = [];
    const make = async (one: Piece) => {
      const { scene } = await studio.make(one, brand, placementById("photo-feed-tall"));
      painted.length = 0;
      await bands.encode(scene, "jpeg", 1, async (_part, rows) => {
        painted.push(rows);
        return Buffer.alloc(scene.width * (rows.bottom - rows.top) * 3);
      });
      return painted[0];
    };
    expect(await make(piece)).to.deep.equal({ top: 0, bottom: 1350 });
    expect(await make(piece)).to.equal(undefined);
    // The photograph ends at 726, and the headline stands below.
    expect((await make(say(piece, "headline", "Harbour light, again")))!.top).to.be.at.least(726);
    bands.clear();
    expect(await make(piece)).to.deep.equal({ top: 0, bottom: 1350 });
  });
});

describe("the rows that an item reaches", () => {
  const [WIDTH, HEIGHT] = [120, 160];
  const flat = { kind: "flat", hex: "#FFFFFF" } as const;
  const at = { x: 30, y: 60, width: 50, height: 30 };
  const item = (part: object): SceneItem => ({ node: "n", opacity: 1, ...part }) as SceneItem;
  const path = (part: object) => item({ kind: "path", d: rectangle(at), ...part });
  const shadow = { hex: "#FFFFFF", alpha: 1, x: 3, y: 0, blur: 0 };
  const stroke = { hex: "#FFFFFF", width: 6, dash: [], cap: "square", join: "miter" };
  const outline = "M0,-200L500,-200L500,1000L0,1000Z";
  const glyphs = [
    { outline, unitsPerEm: 1000, x: 20, y: 90 },
    { outline: "", unitsPerEm: 1000, x: 50, y: 20 },
  ];
  const ITEMS: Record<string, SceneItem> = {
    "a shape": path({ fill: flat }),
    "one that is turned": path({
      fill: flat,
      turn: { degrees: 37, about: { x: 90, y: 80 } },
    }),
    "waves of a stroke": path({ d: waves(at, 100).d, stroke }),
    "a stroke": path({ stroke }),
    "a pointed stroke": item({ kind: "path", d: "M30 70L60 90L30 91", stroke }),
    "a round stroke": path({ stroke: { ...stroke, join: "round", cap: "round" } }),
    "what is cut off": path({ fill: flat, clip: { ...at, height: 8 } }),
    "a shadow below": path({ fill: flat, shadow: { ...shadow, y: 25 } }),
    "a shadow above": path({ fill: flat, shadow: { ...shadow, y: -25 } }),
    "a soft shadow": path({ fill: flat, shadow: { ...shadow, blur: 9 } }),
    "the shadow of what is turned": path({
      fill: flat,
      shadow: { ...shadow, y: 12, blur: 6 },
      turn: { degrees: -70, about: { x: 55, y: 75 } },
    }),
    letters: item({ kind: "glyphs", size: 30, colour: "#FFFFFF", glyphs, runs: [], baseline: 90 }),
    "letters that are turned": item({
      kind: "glyphs",
      size: 30,
      colour: "#FFFFFF",
      glyphs,
      runs: [],
      baseline: 90,
      turn: { degrees: 45, about: { x: 60, y: 80 } },
    }),
  };

  for (const [name, one] of Object.entries(ITEMS))
    it(`are all that are painted of ${name}, and few more`, () => {
      for (const scale of [0.5, 1, 2.3]) {
        const { top, bottom } = reach(one, new Outlines(), scale);
        const inked = rowsOfInk(one, scale);
        expect(top, `× ${scale}`).to.be.at.most(inked.top);
        expect(bottom, `× ${scale}`).to.be.at.least(inked.bottom);
        // A corner or a shadow may reach as far as that; most do not.
        const spare = 2 + scale * (name.includes("stroke") ? 30 : name.includes("shadow") ? 24 : 2);
        expect(inked.top - top, `× ${scale}`).to.be.at.most(spare);
        expect(bottom - inked.bottom, `× ${scale}`).to.be.at.most(spare);
      }
    });

  function rowsOfInk(one: SceneItem, scale: number): Rows {
    const scene: Scene = { width: WIDTH, height: HEIGHT, ground: "#000000", items: [one] };
    const [width, height] = [Math.ceil(WIDTH * scale), Math.ceil(HEIGHT * scale)];
    const context = createCanvas(width, height).getContext("2d");
    const materials = { path: (d: string) => new Path2D(d), picture: () => undefined };
    paint(context as never, scene, materials, scale);
    const { data } = context.getImageData(0, 0, width, height);
    const isInked = (_: unknown, row: number) =>
      data.subarray(4 * width * row, 4 * width * (row + 1)).some((v, i) => i % 4 === 0 && v > 0);
    const rows = Array.from({ length: height }, isInked);
    expect(rows.includes(true)).to.equal(true);
    return { top: rows.indexOf(true), bottom: rows.lastIndexOf(true) + 1 };
  }
});
