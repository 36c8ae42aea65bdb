import { expect } from "chai";
import { box } from "../../core/geometry";
import { messagePictures, type Piece } from "../../core/piece";
import { placementById } from "../../core/placements";
import { scenePictures, type Scene } from "../../core/scene";
import { asStrip, slideOf, withOutline } from "../../core/strip";
import { demoBrand, demoFolder, demoPiece, fontFolder } from "../../tests/support/demo";
import { FolderFiles } from "../files/folders";
import { WithShipped } from "../files/shipped";
import { Studio } from "./studio";

const demoFiles = new WithShipped(fontFolder, new FolderFiles([demoFolder]));
const SLIDES = 4;
const HEIGHT = 0.5;

/** Four slides with a photograph that runs across all of them, over their words. */
function panorama(): Piece {
  const post = demoPiece("quillmere", "opening-announcement");
  const [picture] = messagePictures(post.message) as [string];
  const outline = ["One", "Two", "Three", "Four"].map((word) => ({
    words: [["headline", `Slide ${word}`]] as [string, string][],
    pictures: [],
  }));
  const bare: Piece = {
    ...post,
    arrangement: post.arrangement.filter(({ role }) => role === "backdrop"),
  };
  const names = { nameOf: (id: string) => id, idOf: () => undefined };
  const { piece } = withOutline(asStrip(bare), outline, names);
  const at = box(0, 0, SLIDES, HEIGHT);
  // What runs through the slides lies on the picture on purpose.
  return {
    ...piece,
    running: [],
    across: [{ id: "boats", kind: "picture", picture, at, style: {} }],
  };
}

describe("what runs across the folds of a strip", () => {
  it("meets at every fold, bit for bit with the same picture painted whole, at any scale", async () => {
    const studio = new Studio(demoFiles);
    const [strip, brand] = [panorama(), demoBrand("quillmere")];
    const id = "photo-feed-tall";
    const placement = placementById(id);
    for (const scale of [1, 2, 1.851851]) {
      const scenes: Scene[] = [];
      for (let index = 0; index < SLIDES; index++)
        scenes.push((await studio.make(slideOf(strip, index), brand, placement)).scene);
      const [first] = scenes as [Scene];
      const item = scenePictures(first).find(({ node }) => node === "across-boats")!;
      const whole: Scene = { ...first, width: SLIDES * first.width, items: [item] };
      const all = await studio.paint(whole, scale);
      const wide = all.width * all.channels;
      // The last row of the picture may be covered in part.
      const rows = Math.floor(HEIGHT * all.height) - 1;
      for (const [index, scene] of scenes.entries()) {
        const own = await studio.paint(scene, scale);
        expect(own.width * SLIDES).to.equal(all.width);
        for (let row = 0; row < rows; row += 7)
          for (let x = 0; x < own.width; x++)
            for (let channel = 0; channel < 3; channel++) {
              const a = own.data[row * own.width * own.channels + x * own.channels + channel];
              const b = all.data[row * wide + (index * own.width + x) * all.channels + channel];
              if (a !== b)
                expect.fail(`${id} × ${scale}: slide ${index + 1} at ${x}, ${row}: ${a}, not ${b}`);
            }
      }
    }
  });

  it("leaves the words their room, on every slide", async () => {
    const studio = new Studio(demoFiles);
    const [strip, brand] = [panorama(), demoBrand("quillmere")];
    for (const id of ["photo-feed-tall", "photo-feed-square", "story"])
      for (let index = 0; index < SLIDES; index++) {
        const { layout } = await studio.make(slideOf(strip, index), brand, placementById(id));
        const headline = layout.placed.find(({ node }) => node.slot === "headline")!;
        expect(headline.box.y, `${id} ${index}`).to.be.at.least(HEIGHT * layout.placement.height);
      }
  });
});
