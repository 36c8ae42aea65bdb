import { expect } from "chai";
import { box } from "../../core/geometry";
import { messagePictures, type Across, type Piece } from "../../core/piece";
import { placementById } from "../../core/placements";
import { scenePictures, type Scene } from "../../core/scene";
import { carousels } from "../../core/shipped";
import { asStrip, slideIds, slideOf, withOutline, type OutlineSlide } from "../../core/strip";
import { pieceOf } from "../../core/templates";
import { demoBrand, demoFolder, demoPiece, fontFolder } from "../../tests/support/demo";
import { FolderFiles } from "../files/folders";
import { WithShipped } from "../files/shipped";
import { Studio } from "./studio";

const demoFiles = new WithShipped(fontFolder, new FolderFiles([demoFolder]));
const SLIDES = 4;
const HEIGHT = 0.5;

const OUTLINE: OutlineSlide[] = ["One", "Two", "Three", "Four"].map((word) => ({
  words: [["headline", `Slide ${word}`]],
  pictures: [],
}));

/** Four slides with a photograph that runs across all of them, over their words. */
function panorama(): Piece {
  const post = demoPiece("quillmere", "opening-announcement");
  const [picture] = messagePictures(post.message) as [string];
  const bare: Piece = {
    ...post,
    arrangement: post.arrangement.filter(({ role }) => role === "backdrop"),
  };
  const names = { nameOf: (id: string) => id, idOf: () => undefined };
  const { piece } = withOutline(asStrip(bare), OUTLINE, names);
  const at = box(0, 0, SLIDES, HEIGHT);
  // What runs through the slides lies on the picture on purpose.
  return {
    ...piece,
    running: [],
    across: [{ id: "boats", kind: "picture", picture, at, style: {} }],
  };
}

const COLOURS = 3;
/** As it is, smaller as in a preview, and a width that no pixel of the placement falls on. */
const SCALES = [1, 0.5, 1360 / 1080];

/**
 * The canvas covers pixels along a slanting edge a little otherwise where it is cut off: by so much of 255, on so few of the
 * values. Straight bands and pictures meet exactly.
 */
const SLANTING = { apart: 32, share: 0.001 };
/** And the curves of a letter that is cut through. */
const LETTERS = { apart: 96, share: 0.0002 };
const EXACT = { apart: 0, share: 0 };

/** Whether slides that are put side by side are what is painted whole, in all rows down to a share of the height. */
async function meets(
  studio: Studio,
  scenes: readonly Scene[],
  items: Scene["items"],
  scale: number,
  share: number,
  edges = EXACT,
): Promise<void> {
  const first = scenes[0]!;
  const all = await studio.painter.paint({ ...first, width: SLIDES * first.width, items }, scale);
  const wide = all.width * COLOURS;
  let [differing, furthest] = [0, 0];
  const rows = share < 1 ? Math.floor(share * all.height) - 1 : all.height;
  for (const [index, scene] of scenes.entries()) {
    const own = await studio.painter.paint(scene, scale);
    expect(own.width * SLIDES).to.equal(all.width);
    const across = own.width * COLOURS;
    for (let row = 0; row < rows; row++) {
      const here = own.data.subarray(row * across, (row + 1) * across);
      const there = all.data.subarray(row * wide + index * across);
      if (here.compare(there, 0, across) === 0) continue;
      for (let at = 0; at < across; at++) {
        const apart = Math.abs(here[at]! - there[at]!);
        if (apart > 0) differing++;
        furthest = Math.max(furthest, apart);
      }
    }
  }
  expect(furthest, `× ${scale}`).to.be.at.most(edges.apart);
  expect(differing / all.data.length, `× ${scale}`).to.be.at.most(edges.share);
}

describe("what runs across the folds of a strip", () => {
  it("meets at every fold, bit for bit with the same picture painted whole, at any scale", async () => {
    const studio = new Studio(demoFiles);
    const [strip, brand] = [panorama(), demoBrand("quillmere")];
    const id = "photo-feed-tall";
    const placement = placementById(id);
    for (const scale of SCALES) {
      const scenes: Scene[] = [];
      for (let index = 0; index < SLIDES; index++)
        scenes.push((await studio.make(slideOf(strip, index), brand, placement)).scene);
      const [first] = scenes as [Scene];
      const item = scenePictures(first).find(({ node }) => node === "across-boats")!;
      // The last row of the picture may be covered in part.
      await meets(studio, scenes, [item], scale, HEIGHT);
    }
  });

  const DRAWN = { "slides-one-line": SLANTING, "slides-steps": EXACT, "slides-case": EXACT };
  for (const [id, edges] of Object.entries(DRAWN))
    it(`meets at every fold where it is drawn, as in ${id}`, async () => {
      const [studio, brand] = [new Studio(demoFiles), demoBrand("quillmere")];
      const template = carousels.find((one) => one.id === id)!;
      const about = { id, title: id, words: {}, outline: OUTLINE, pictures: [] };
      const piece = pieceOf(template, brand, about);
      // One ground for all, as the drawing alone is what runs on.
      const strip = { ...piece, slides: piece.slides!.map(({ spread: _turned, ...one }) => one) };
      const drawn = ({ items, ...scene }: Scene): Scene => ({
        ...scene,
        items: items.filter(({ node }) => node?.startsWith("across-")),
      });
      const made = await Promise.all(
        slideIds(strip).map((_, index) =>
          studio.make(slideOf(strip, index), brand, placementById("photo-feed-tall")),
        ),
      );
      const scenes = made.map(({ scene }) => drawn(scene));
      for (const scale of SCALES) await meets(studio, scenes, scenes[0]!.items, scale, 1, edges);
    });

  it("meets at every fold where it is a line of words", async () => {
    const [studio, brand] = [new Studio(demoFiles), demoBrand("quillmere")];
    const at = box(0.1, 0.1, 3.6, 0.2);
    const style = { type: "headline", colour: "headline", weight: 700 } as const;
    const line: Across = { id: "line", kind: "text", text: "All along the quay", at, style };
    const strip = { ...panorama(), across: [line] };
    const scenes: Scene[] = [];
    for (let index = 0; index < SLIDES; index++) {
      const { scene } = await studio.make(
        slideOf(strip, index),
        brand,
        placementById("photo-feed-tall"),
      );
      scenes.push({ ...scene, items: scene.items.filter(({ node }) => node === "across-line") });
    }
    expect(scenes.every(({ items }) => items.length > 0)).to.equal(true);
    for (const scale of SCALES) await meets(studio, scenes, scenes[0]!.items, scale, 1, LETTERS);
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
