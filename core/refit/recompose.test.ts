import { expect } from "chai";
import { cases } from "../../tests/support/arrangements";
import { caseSources } from "../../tests/support/case-sources";
import { demoBrand, demoSources } from "../../tests/support/demo";
import { fittedPiece, makeScene, withLead } from "../engine";
import type { Piece } from "../piece";
import { placementById, safeArea } from "../placements";
import { check } from "../preflight";
import { shippedTemplates } from "../shipped";
import { pieceOf } from "../templates";
import type { Placed } from "./layout";

const TARGETS = ["story", "community-link", "photo-feed-square", "ad-medium-rectangle"];

/** How far an edge may move when what was laid out is composed so, as a share of the frame's longer side. */
const SLACK = 0.004;

describe("another lead size", () => {
  it("is composed as it looked, word for word and edge for edge", async () => {
    const sources = await caseSources();
    for (const { piece, brand } of cases()) {
      for (const id of TARGETS.filter((target) => target !== piece.lead)) {
        const placement = placementById(id);
        const slack = SLACK * Math.max(placement.width, placement.height);
        const sizes = [{ placement: id, changes: {} }];
        const { layout } = makeScene({ ...piece, sizes }, brand, placement, sources);
        const anew = withLead({ ...piece, sizes }, brand, placement, sources);
        const after = makeScene(anew, brand, placement, sources).layout;
        expect(after.layoutId.kind, `${piece.id} ${id}`).to.equal("as-arranged");
        const found = new Map(after.placed.map((item) => [item.node.id, item]));
        for (const before of layout.placed) {
          const now = found.get(before.node.id);
          const what = `${piece.id} ${id} ${before.node.id}`;
          expect(linesOf(now), what).to.deep.equal(linesOf(before));
          for (const edge of ["x", "y", "width", "height"] as const)
            expect(now!.box[edge], `${what} ${edge}`).to.be.closeTo(before.box[edge], slack);
        }
        expect(after.placed, `${piece.id} ${id}`).to.have.lengthOf(layout.placed.length);
      }
    }
  });
});

describe("words that fill the box that others were composed in", () => {
  it("do not leave the safe area", async () => {
    const sources = await demoSources();
    const brand = demoBrand("saltlight");
    const template = shippedTemplates.find(({ id }) => id === "sunrise")!;
    const words = { headline: "Winterfeste Räder", support: "Jede Inspektion bis 31. Januar" };
    const made = pieceOf(template, brand, { id: "a", title: "A", words, pictures: [] });
    const lead = placementById(made.lead);
    const piece = fittedPiece(made, brand, lead, sources);
    const { width } = safeArea(lead);
    const filled = ["Räder winterfest, ab 39 €", "Kette und Ritzel ab 1.249,50 €"].filter(
      (text) => {
        const message = { ...piece.message, headline: { text } };
        const { layout } = makeScene({ ...piece, message }, brand, lead, sources);
        expect(check(layout).map(({ code }) => code)).not.to.include("outside-safe-area");
        const headline = layout.placed.find(({ node }) => node.slot === "headline")!;
        return headline.text!.ink.width > width - 0.1;
      },
    );
    expect(filled).not.to.deep.equal([]);
  });
});

describe("a node that was hidden on a size", () => {
  it("stays hidden when that size becomes the lead, and is there on the others", async () => {
    const sources = await caseSources();
    const { piece, brand } = cases().find(({ piece: { id } }) => id === "opening-announcement")!;
    const sizes: Piece["sizes"] = [
      { placement: piece.lead, changes: {} },
      { placement: "story", changes: { date: { hidden: true } } },
    ];
    const anew = withLead({ ...piece, sizes }, brand, placementById("story"), sources);
    const shows = (placement: string) =>
      makeScene(anew, brand, placementById(placement), sources).layout.placed.some(
        ({ node }) => node.id === "date",
      );
    expect([shows("story"), shows(piece.lead)]).to.deep.equal([false, true]);
  });
});

const linesOf = (item: Placed | undefined): string[] =>
  item?.text?.set.lines.map((line) => line.shaped.text) ?? [];
