import { expect } from "chai";
import sharp from "sharp";
import { demoBrand, demoFolder, demoPieces, fontFolder } from "../../tests/support/demo";
import { differenceOf, decode } from "../../tests/support/pixels";
import { FolderFiles } from "../files/folders";
import { WithShipped } from "../files/shipped";
import { Studio } from "./studio";
import { specimen } from "../../core/specimen";
import { paintSvg } from "../../core/paint";
import { placementById } from "../../core/placements";

const studio = new Studio(new WithShipped(fontFolder, new FolderFiles([demoFolder])));

describe("the SVG painter", () => {
  it("paints what the canvas paints, by an independent renderer", async () => {
    for (const { piece, brand } of demoPieces()) {
      for (const id of ["photo-feed-tall", "ad-leaderboard"]) {
        const { scene } = await studio.make(piece, brand, placementById(id));
        const canvas = await decode(await studio.encode(scene, "png", 1));
        const svg = await studio.encode(scene, "svg", 1);
        const drawn = await decode(await sharp(svg).png().toBuffer());
        const { width, height } = scene;
        expect({ width: drawn.width, height: drawn.height }).to.deep.equal({ width, height });
        // The renderer softens edges in its own way and the pictures are JPEG: compared as seen from far.
        const across = Math.round(40 * Math.min(1, width / height));
        const down = Math.round(40 * Math.min(1, height / width));
        const far = async ({ data }: typeof canvas) => {
          const whole = sharp(data, { raw: { width, height, channels: 3 } });
          const small = whole.resize(across, down, { fit: "fill" });
          return { data: await small.raw().toBuffer(), width: across, height: down };
        };
        const { most } = differenceOf(await far(canvas), await far(drawn));
        expect(most, `${piece.id} ${id}`).to.be.at.most(6);
      }
    }
  });

  it("is well formed, holds everything in itself, and has no script", async () => {
    const brand = demoBrand("quillmere");
    for (const { piece, placement, id } of specimen(brand, undefined)) {
      const { scene } = await studio.make(piece, brand, placement);
      const svg = (await studio.encode(scene, "svg", 1)).toString();
      expect(svg, id).to.match(/^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
      expect(svg, id).to.not.match(/<script|href="(?!#|data:)|url\((?!#|data:)/);
      expect(svg, id).to.not.contain("NaN");
      await sharp(Buffer.from(svg)).metadata();
    }
  });

  it("keeps text as text with its faces built in, when asked", async () => {
    const [one] = demoPieces();
    const { scene } = await studio.make(one!.piece, one!.brand, placementById("photo-feed-tall"));
    const text = (await studio.encode(scene, "svg", 1, "text")).toString();
    expect(text)
      .to.contain("@font-face")
      .and.to.match(/<text [^>]*>[^<]+<\/text>/);
    const outlines = (await studio.encode(scene, "svg", 1)).toString();
    expect(outlines).to.not.contain("<text");
  });

  it("keeps outlines where a face may not be built in", async () => {
    const [one] = demoPieces();
    const { scene } = await studio.make(one!.piece, one!.brand, placementById("photo-feed-tall"));
    const svg = paintSvg(scene, { picture: () => undefined, font: () => undefined });
    expect(svg).to.not.contain("<text");
    expect(svg).to.contain("<use");
  });

  it("escapes what was typed", () => {
    const item = {
      kind: "glyphs",
      node: "n",
      opacity: 1,
      text: '<b>&"',
      size: 10,
      colour: "#000000",
      glyphs: [],
      baseline: 10,
      runs: [],
    } as const;
    const scene = {
      width: 10,
      height: 10,
      ground: "#FFFFFF",
      items: [{ ...item, glyphs: [], runs: [] }],
    };
    expect(paintSvg(scene, { picture: () => undefined })).to.contain("&lt;b&gt;&amp;&quot;");
  });
});
