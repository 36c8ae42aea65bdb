import { expect } from "chai";
import { demoBrand, demoPiece } from "../../tests/support/demo";
import { seen, sharedInk } from "../../tests/support/oracle";
import { strangeFiles } from "../../tests/support/strangers";
import { markedPicture, seenSubject, SUBJECT } from "../../tests/support/subject";
import { Studio } from "./studio";
import { Style, type Piece } from "../../core/piece";
import type { ShapeKind } from "../../core/shape";
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

  it("counts what is seen of a subject, and names one that a shape cuts", async () => {
    const picture = await markedPicture(1200, 900);
    const slot = piece.arrangement.find(({ role }) => role === "photo")!.slot!;
    const framed = (frame: ShapeKind, framing: object = {}): Piece => ({
      ...piece,
      message: { ...piece.message, [slot]: { picture, areas: [SUBJECT] } },
      arrangement: piece.arrangement.map((node) =>
        node.role === "photo" ? { ...node, style: Style.parse({ frame, framing }) } : node,
      ),
    });
    const subjectOf = async (of: Piece) => {
      // A duotone would take the board's colours away.
      const treatment = { kind: "none" } as const;
      const plain = { ...brand, defaults: { ...brand.defaults, treatment } };
      const { scene, layout } = await studio.make(of, plain, placementById(of.lead));
      const codes = check(layout).map(({ code }) => code);
      return { ...(await seenSubject(studio, scene, 0.5, [picture]))!, codes };
    };
    const whole = await subjectOf(framed("rectangle"));
    expect(whole.shown).to.equal(1);
    expect(whole.codes).not.to.include("subject-cut");
    const kept = await subjectOf(framed("arch"));
    expect(kept.shown).to.be.above(0.9);
    const pushed = await subjectOf(framed("ellipse", { zoom: 1.6, panX: -1, panY: 1 }));
    expect(pushed.shown).to.be.below(0.9);
    expect(pushed.codes).to.include("subject-cut");
  });
});
