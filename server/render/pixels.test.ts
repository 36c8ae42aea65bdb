import { expect } from "chai";
import { demoBrand, demoPiece } from "../../tests/support/demo";
import { seen, sharedInk } from "../../tests/support/oracle";
import { strangeFiles } from "../../tests/support/strangers";
import { Studio } from "./studio";
import type { Piece } from "../../core/piece";
import { placementById } from "../../core/placements";
import { check } from "../../core/preflight";

/** The checks against what pixels say, which know nothing of layouts. */
describe("preflight, judged from pixels", () => {
  const studio = new Studio(strangeFiles);
  const brand = demoBrand("quillmere");
  const piece = demoPiece("quillmere", "opening-announcement");

  async function sizeOf(of: Piece, placement: string) {
    const { scene, layout } = await studio.make(of, brand, placementById(placement));
    return { codes: check(layout).map(({ code }) => code), ...(await seen(studio, scene, 0.5)) };
  }

  const moved = (id: string, change: object): Piece => ({
    ...piece,
    sizes: piece.sizes.map((size) =>
      size.placement === piece.lead ? { ...size, changes: { [id]: change } } : size,
    ),
  });

  for (const placement of ["photo-feed-tall", "story", "community-link", "ad-medium-rectangle"])
    it(`finds nothing to name where nothing is named: ${placement}`, async () => {
      const { words, codes } = await sizeOf(piece, placement);
      expect(codes).not.to.include("overlap");
      expect(words.length).to.be.above(2);
      for (const [i, a] of words.entries()) {
        expect(a.edges.right, a.node).to.be.above(0);
        expect(a.contrast.middle, a.node).to.be.above(3);
        for (const b of words.slice(i + 1))
          expect(sharedInk(a, b), `${a.node} ${b.node}`).to.be.below(0.004);
      }
    });

  it("names words that lie on each other, as pixels show", async () => {
    const headline = piece.arrangement.find(({ role }) => role === "headline")!;
    const support = piece.arrangement.find(({ role }) => role === "support")!;
    const { words, codes } = await sizeOf(moved(support.id, { box: headline.box }), piece.lead);
    const [a, b] = [headline.id, support.id].map((id) => words.find(({ node }) => node === id)!);
    expect(sharedInk(a!, b!)).to.be.above(0.05);
    expect(codes).to.include("overlap");
  });

  it("names words that hardly stand out, as pixels show", async () => {
    const support = piece.arrangement.find(({ role }) => role === "support")!;
    const faint = moved(support.id, { style: { colour: "#2F4E52" } });
    const { words, codes } = await sizeOf(faint, piece.lead);
    expect(words.find(({ node }) => node === support.id)!.contrast.middle).to.be.below(3);
    expect(codes).to.include("low-contrast");
  });
});
