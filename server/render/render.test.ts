import { join } from "node:path";
import { expect } from "chai";
import sharp from "sharp";
import { demoBrand, demoFolder, demoPiece, demoPieces, fontFolder } from "../../tests/support/demo";
import { FolderFiles } from "../files/folders";
import { WithShipped } from "../files/shipped";
import { inspectPicture } from "./inspect";
import { copyAt } from "./rendition";
import { isLarge } from "./bands";
import { Studio } from "./studio";
import type { PictureFilling } from "../../core/piece";
import { placementById } from "../../core/placements";

const plain = (width: number, height: number, background: string) =>
  sharp({ create: { width, height, channels: 3, background } });

/** Left half red, right half blue. */
const halves = async () =>
  plain(40, 20, "#ff0000")
    .composite([{ input: await plain(20, 20, "#0000ff").png().toBuffer(), left: 20, top: 0 }])
    .png()
    .toBuffer();

describe("pictures", () => {
  it("are told by their size as they are seen, turned by their EXIF orientation", async () => {
    const turned = await plain(30, 10, "#123456")
      .jpeg()
      .withMetadata({ orientation: 6 })
      .toBuffer();
    const { width, height, mime, vector } = await inspectPicture(turned, "a.jpg");
    expect({ width, height, mime, vector }).to.deep.equal({
      width: 10,
      height: 30,
      mime: "image/jpeg",
      vector: false,
    });
  });

  it("are copied whole at a width, in their own colours", async () => {
    const { data, ...size } = await copyAt(
      await halves(),
      { width: 40, height: 20, vector: false },
      20,
    );
    expect(size).to.deep.equal({ width: 20, height: 10, opaque: true });
    expect([...data.slice(0, 4)]).to.deep.equal([255, 0, 0, 255]);
    expect([...data.slice(19 * 4, 20 * 4)]).to.deep.equal([0, 0, 255, 255]);
  });

  it("have their subject where a person had set it, in photographs of the demo", async () => {
    const files = new FolderFiles([demoFolder]);
    for (const id of ["opening-announcement", "late-opening"]) {
      const { message } = demoPieces().find(({ piece }) => piece.id === id)!.piece;
      const { picture, areas } = message.picture as PictureFilling;
      const found = (await inspectPicture(await files.read(picture), id)).areas![0]!;
      const { x, y, width, height } = areas![0]!;
      expect(found.x + found.width / 2, id).to.be.within(x, x + width);
      expect(found.y + found.height / 2, id).to.be.within(y, y + height);
    }
  });

  it("keep what is see-through", async () => {
    const clear = { r: 0, g: 0, b: 0, alpha: 0 };
    const image = sharp({ create: { width: 4, height: 4, channels: 4, background: clear } });
    const whole = { width: 4, height: 4, vector: false };
    const { data, opaque } = await copyAt(await image.png().toBuffer(), whole, 4);
    expect(data[3]).to.equal(0);
    expect(opaque).to.equal(false);
  });

  it("that are vectors are drawn at the size that is needed, with sharp edges", async () => {
    const svg = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><rect width="5" height="10"/></svg>',
    );
    const { data, width } = await copyAt(svg, { width: 10, height: 10, vector: true }, 400);
    const row = Array.from({ length: width }, (_, x) => data[(200 * width + x) * 4 + 3]!);
    const soft = row.filter((alpha) => alpha > 10 && alpha < 245);
    expect(soft.length).to.be.at.most(2);
  });
});

describe("the studio", () => {
  const studio = new Studio(new FolderFiles([demoFolder]));

  it("encodes at any scale in each format", async () => {
    const piece = demoPiece("saltlight", "float-before-lunch");
    const { scene } = await studio.make(
      piece,
      demoBrand("saltlight"),
      placementById("ad-medium-rectangle"),
    );
    for (const format of ["png", "jpeg", "webp"] as const) {
      for (const scale of [1, 2]) {
        const image = await studio.encode(scene, format, scale);
        const { width, height, format: found, hasAlpha } = await sharp(image).metadata();
        expect({ width, height, found, hasAlpha }).to.deep.equal({
          width: 300 * scale,
          height: 250 * scale,
          found: format,
          hasAlpha: false,
        });
      }
    }
  });

  it("gives the same bytes in two runs", async () => {
    const other = new Studio(new FolderFiles([demoFolder]));
    for (const { piece, brand } of demoPieces()) {
      const [a, b] = await Promise.all(
        [studio, other].map(async (one) => {
          const { scene } = await one.make(piece, brand, placementById("story"));
          return one.encode(scene, "png", 0.5);
        }),
      );
      expect(a!.equals(b!), piece.id).to.equal(true);
    }
  });

  it("paints the brand's colours exactly", async () => {
    const brand = demoBrand("quillmere");
    const { scene } = await studio.make(
      demoPiece("quillmere", "opening-announcement"),
      brand,
      placementById("story"),
    );
    const image = sharp(await studio.encode(scene, "png", 1));
    const corner = await image
      .extract({ left: 4, top: 1900, width: 1, height: 1 })
      .raw()
      .toBuffer();
    expect([...corner.subarray(0, 3)]).to.deep.equal([0x12, 0x3a, 0x3f]);
  });

  it("makes two pictures of one size at once without mixing them", async () => {
    const piece = demoPiece("quillmere", "opening-announcement");
    const brand = demoBrand("quillmere");
    const scenes = await Promise.all(
      ["One", "Another"].map(async (text) => {
        const message = { ...piece.message, headline: { text } };
        return (await studio.make({ ...piece, message }, brand, placementById("photo-feed-square")))
          .scene;
      }),
    );
    const alone: Buffer[] = [];
    for (const scene of scenes) alone.push(await studio.encode(scene, "png", 0.3));
    const together = await Promise.all(scenes.map((scene) => studio.encode(scene, "png", 0.3)));
    together.forEach((image, index) => expect(image.equals(alone[index]!)).to.equal(true));
    expect(alone[0]!.equals(alone[1]!)).to.equal(false);
  });

  it("says which file is not there", async () => {
    const lost = new Studio(new FolderFiles([join(demoFolder, "saltlight")]));
    const made = lost.make(
      demoPiece("quillmere", "late-opening"),
      demoBrand("quillmere"),
      placementById("story"),
    );
    expect(await made.catch((error: Error) => error.message)).to.contain("which is not there");
  });
});

describe("a large picture", () => {
  it("is painted band by band, as it is in one", async () => {
    const { piece, brand } = demoPieces()[0]!;
    const studio = new Studio(new WithShipped(fontFolder, new FolderFiles([demoFolder])));
    const { scene } = await studio.make(piece, brand, placementById("ad-leaderboard"));
    // 728 × 90 at 15 times its size is more than is painted at once.
    const large = await studio.painter.paint(scene, 15);
    const small = await studio.painter.paint(scene, 3);
    expect(isLarge(large.width, large.height)).to.equal(true);
    const raw = ({ width, height, channels }: typeof large) => ({
      raw: { width, height, channels },
    });
    const shrunk = await sharp(large.data, raw(large))
      .resize(small.width, small.height, { kernel: "lanczos3" })
      .raw()
      .toBuffer();
    const apart = shrunk.reduce((sum, value, i) => sum + Math.abs(value - small.data[i]!), 0);
    expect(apart / shrunk.length).to.be.below(3);
  });
});
