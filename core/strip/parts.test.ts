import { expect } from "chai";
import { sourcesFor } from "../../tests/support/case-sources";
import { demoBrand, demoPiece } from "../../tests/support/demo";
import { makeScene } from "../engine";
import { overlaps } from "../geometry";
import type { Piece } from "../piece";
import { placementById } from "../placements";
import { check } from "../preflight";
import { asStrip, filesFor, partsFor, running, withOutline } from "./index";

const brand = demoBrand("quillmere");
const names = { nameOf: (id: string) => id, idOf: () => undefined };
/** Ten slides is the most that the photo feed of the catalogue shows. */
const feed = placementById("photo-feed-tall");

function strip(count: number): Piece {
  const outline = Array.from({ length: count }, (_, at) => ({
    words: [["headline", `Slide ${at + 1}`]] as [string, string][],
    pictures: [],
  }));
  const post = { ...demoPiece("quillmere", "opening-announcement"), slides: [] };
  return {
    ...withOutline(asStrip(post), outline, names).piece,
    running: (["portrait", "page-mark", "swipe-cue"] as const).map(running),
  };
}

const markOf = ({ message }: Piece): string | undefined =>
  (message["running-part"] as { text: string } | undefined)?.text;

describe("a strip that is longer than a channel shows", () => {
  it("goes out in parts as even as can be, none of them too long, with nothing lost", () => {
    for (const count of [1, 9, 10, 11, 12, 20, 21, 27]) {
      const parts = partsFor(strip(count), feed);
      const lengths = parts.map(({ length }) => length);
      expect(parts.flat(), String(count)).to.deep.equal([...Array(count).keys()]);
      expect(Math.max(...lengths)).to.be.at.most(feed.slides!.max);
      expect(parts.length).to.equal(Math.ceil(count / feed.slides!.max));
      expect(Math.max(...lengths) - Math.min(...lengths)).to.be.at.most(1);
    }
    // Where one picture is shown, there is nothing to part.
    expect(partsFor(strip(12), placementById("community-link"))).to.deep.equal([[0]]);
  });

  it("is numbered on, and says on the first slide of each part which one it is", () => {
    const files = filesFor(strip(12), feed, true);
    expect(files.map(({ name }) => name)).to.deep.equal([
      ...["1-01", "1-02", "1-03", "1-04", "1-05", "1-06"],
      ...["2-07", "2-08", "2-09", "2-10", "2-11", "2-12"],
    ]);
    expect(files.map(({ slide }) => slide)).to.deep.equal(
      [...Array(12).keys()].map((at) => at + 1),
    );
    const marks = files.flatMap(({ piece, slide }) =>
      markOf(piece) ? [[slide, markOf(piece)]] : [],
    );
    expect(marks).to.deep.equal([
      [1, "1 of 2"],
      [7, "2 of 2"],
    ]);
    // The post ends with its part: nothing is swiped to from there.
    const cues = files.flatMap(({ piece, slide }) =>
      piece.arrangement.some(({ id }) => id === "running-swipe-cue") ? [slide] : [],
    );
    expect(cues).to.deep.equal([1, 2, 3, 4, 5, 7, 8, 9, 10, 11]);
    expect(files[5]!.piece.message).to.not.have.property("running-swipe-cue");
    const german = filesFor({ ...strip(12), language: "de" }, feed, true);
    expect(markOf(german[0]!.piece)).to.equal("1/2");
  });

  it("has no marks where it is not to be parted, or need not be", () => {
    for (const files of [filesFor(strip(12), feed, false), filesFor(strip(8), feed, true)])
      for (const { piece, part } of files) {
        expect(markOf(piece)).to.equal(undefined);
        expect(part).to.equal(undefined);
      }
  });

  it("has its marks in a free corner, legible and on nothing else", async () => {
    const firsts = filesFor(strip(12), feed, true).filter(({ piece }) => markOf(piece));
    const sources = await sourcesFor(firsts.map(({ piece }) => ({ piece, brand })));
    for (const { piece, slide } of firsts)
      for (const id of ["photo-feed-tall", "photo-feed-square"]) {
        const { layout } = makeScene(piece, brand, placementById(id), sources);
        const mark = layout.placed.find(({ node }) => node.id === "running-part")!;
        for (const other of layout.placed)
          if (other !== mark && (other.text ?? other.logo))
            expect(overlaps(other.box, mark.box), `${slide} ${id} ${other.node.id}`).to.equal(
              false,
            );
        const own = check(layout).filter(({ node, level }) => {
          return node === mark.node.id && level === "must-fix";
        });
        expect(own).to.deep.equal([]);
      }
  });
});
