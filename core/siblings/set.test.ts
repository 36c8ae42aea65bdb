import { expect } from "chai";
import { demoBrand, demoPiece, demoSources } from "../../tests/support/demo";
import { applyVariation } from "../batch";
import { makeScene, makeScenes, withLead } from "../engine";
import { Piece } from "../piece";
import { placementById } from "../placements";
import { check, reportOf } from "../preflight";
import type { Layout } from "../refit";
import type { Sources } from "../resolve";
import { shippedTemplates } from "../shipped";
import { arrangedAs } from "../templates";
import { asSet, isUpToDate } from "./index";

const SAID = [
  "Boats at rest",
  "Low tide, no hurry",
  "What the tide leaves behind",
  "Nachts im Museum",
  "Salt and nets and slow wind",
  "Bring your grandmother along on Sunday",
];

const brand = demoBrand("quillmere");
const model = demoPiece("quillmere", "opening-announcement");
const saying = (piece: Piece, text: string, id = piece.id): Piece => ({
  ...piece,
  id,
  message: { ...piece.message, headline: { text } },
});

const headlineOf = ({ placed }: Layout) =>
  placed.find(({ node }) => node.slot === "headline")!.text!.set;
const pictureOf = ({ placed }: Layout) =>
  placed.flatMap(({ node, box, crop }) => (node.type === "picture" ? [[box, crop]] : []));

describe("pieces that are laid out as a set", () => {
  let sources: Sources;
  let set: Piece[];
  const made = (piece: Piece, place: string, kit = brand): Layout =>
    makeScene(piece, kit, placementById(place), sources).layout;

  before(async () => {
    sources = await demoSources();
    const pieces = SAID.map((text, at) => saying(model, text, `piece-${at}`));
    set = asSet("spring", pieces[0]!, pieces);
  });

  it("have on every size, the lead too, one type size and one crop for words of like length, and break no rule", () => {
    expect(set.map((piece) => Piece.safeParse(piece).error)).to.deep.equal(
      SAID.map(() => undefined),
    );
    for (const { placement } of model.sizes) {
      const layouts = set.map((piece) => made(piece, placement));
      for (const layout of layouts) {
        expect(layout.set, placement).to.equal("stands");
        expect(check(layout).filter(({ level }) => level === "must-fix")).to.deep.equal([]);
      }
      const sizes = new Set(layouts.map((layout) => headlineOf(layout).size.toFixed(1)));
      const alone = SAID.map((text) => made(saying(model, text), placement));
      const before = new Set(alone.map((layout) => headlineOf(layout).size.toFixed(1)));
      expect(sizes.size, placement).to.be.at.most(3).and.to.be.lessThan(before.size);
      expect(new Set(layouts.map((one) => JSON.stringify(pictureOf(one)))).size).to.be.at.most(3);
    }
  });

  it("are each laid out without a look at the others: what one says changes it alone", () => {
    const place = "photo-feed-square";
    const size = headlineOf(made(set[1]!, place)).size;
    const typo = saying(set[1]!, "Low tide, no worry");
    expect(headlineOf(made(typo, place)).size).to.equal(size);
    const all = makeScenes(typo, brand, [placementById("story"), placementById(place)], sources);
    expect(all[1]!.layout.placed).to.deep.equal(made(typo, place).placed);
  });

  it("stand apart where their words have no room, and that is said", () => {
    const long = saying(
      set[0]!,
      "Everything that was ever photographed on this coast, and by whom",
    );
    const layout = made(long, "ad-medium-rectangle");
    expect(layout.set).to.equal("apart");
    expect(reportOf(layout).set).to.equal("apart");
    expect(check(layout).map(({ code }) => code)).to.include("apart");
    const { siblings: _siblings, ...alone } = long;
    expect(layout.placed).to.deep.equal(made(alone, "ad-medium-rectangle").placed);
  });

  it("have to be laid out again when what they say has changed, and only then", () => {
    expect(isUpToDate(set)).to.equal(true);
    const otherWays = set.map((piece) => ({
      ...piece,
      message: { ...piece.message, headline: { ...piece.message.headline!, alternatives: ["x"] } },
    })) as Piece[];
    expect(isUpToDate(otherWays)).to.equal(true);
    expect(isUpToDate(set.with(2, saying(set[2]!, "Much longer than whatever it has said before"))))
      .to.be.false;
    expect(isUpToDate(set.slice(0, -1))).to.equal(false);
    const again = asSet("spring", set[3]!, set);
    expect(again).to.deep.equal(set);
  });

  it("grow again when the longest of them is shortened and they are laid out again", () => {
    const size = (pieces: readonly Piece[]) =>
      headlineOf(made(pieces[0]!, "photo-feed-square")).size;
    const [first, second] = [saying(model, "The boats", "a"), saying(model, "All boats rest", "b")];
    const wide = asSet("s", first, [first, second]);
    const shorter = asSet("s", wide[0]!, [wide[0]!, saying(wide[1]!, "Low boats")]);
    expect(size(shorter)).to.be.greaterThan(size(wide));
  });

  it("stand so where a logo on the picture leaves its subject clear as it is cropped by itself", () => {
    const pieces = ["The boats", "Low boats"].map((text, at) => saying(model, text, `short-${at}`));
    for (const piece of asSet("s", pieces[0]!, pieces)) {
      const layout = made(piece, "story");
      expect(layout.set).to.equal("stands");
      expect(pictureOf(layout)).to.deep.equal(pictureOf(made(pieces[0]!, "story")));
    }
  });

  it("let a size have a layout of its own, and a lead that was composed by hand", () => {
    const piece = set[0]!;
    const layout = { kind: "words-alone" } as const;
    const picked = {
      ...piece,
      sizes: piece.sizes.map((size) => (size.placement === "story" ? { ...size, layout } : size)),
    };
    expect(made(picked, "story").set).to.equal(undefined);
    expect(made(picked, "photo-feed-square").set).to.equal("stands");
    const place = placementById(piece.lead);
    const before = made(piece, piece.lead);
    const led = withLead(piece, brand, place, sources);
    expect(Piece.safeParse(led).error).to.equal(undefined);
    const after = made(led, led.lead);
    expect(after.set).to.equal(undefined);
    expect(headlineOf(after).size).to.be.closeTo(headlineOf(before).size, 0.5);
    expect(made(led, "story").set).to.equal("stands");
    // Another look is no longer that of the set; variations of a batch are a set of their own.
    expect(arrangedAs(piece, shippedTemplates[0]!)).not.to.have.property("siblings");
    const dressing = { brand, templates: [] };
    const varied = { message: { headline: { text: "Ebb" } } };
    expect(applyVariation(piece, varied, dressing)).not.to.have.property("siblings");
    expect(applyVariation(piece, { message: {} }, dressing)).to.equal(piece);
  });

  it("keep what was changed by hand on one size", () => {
    const piece = set[1]!;
    const place = "photo-feed-square";
    const at = made(piece, place).placed.find(({ node }) => node.slot === "headline")!;
    const colour = { style: { colour: "action" } };
    const changed = {
      ...piece,
      sizes: piece.sizes.map((size) =>
        size.placement === place ? { ...size, changes: { [at.node.id]: colour } } : size,
      ),
    };
    const layout = made(changed, place);
    expect(layout.set).to.equal("stands");
    expect(headlineOf(layout).size).to.equal(headlineOf(made(piece, place)).size);
    const node = layout.placed.find(({ node: { id } }) => id === at.node.id)!.node;
    expect(node)
      .to.have.property("colour")
      .that.is.not.equal((at.node as { colour?: string }).colour);
  });

  it("take in pieces of another look, with all that they say; those with other slots stand with their like", () => {
    const workshop = demoPiece("quillmere", "family-workshop");
    const late = demoPiece("quillmere", "late-opening");
    const pieces = [model, workshop, late];
    const [first, ...others] = asSet("s", model, pieces);
    expect(first!.arrangement).to.deep.equal(model.arrangement);
    for (const [at, piece] of others.entries()) {
      expect(piece.message).to.deep.equal(pieces[at + 1]!.message);
      for (const { placement } of piece.sizes) {
        const layout = made(piece, placement);
        const { left_out: left } = reportOf(layout);
        const alone = reportOf(made(arrangedAs(pieces[at + 1]!, { design: model }), placement));
        expect(left, placement).to.have.lengthOf.at.most(alone.left_out.length);
      }
    }
  });

  it("stay inside of the brand's own, wider margins", () => {
    const wide = { ...brand, defaults: { ...brand.defaults, marginScale: 1.6 } };
    for (const place of ["photo-feed-square", "story", "community-link"]) {
      const layout = made(set[1]!, place, wide);
      const { margin, width } = layout.placement;
      expect(margin).to.be.greaterThan(placementById(place).margin);
      for (const { text, node } of layout.placed)
        if (text && node.role !== "badge") {
          expect(text.ink.x, `${place} ${node.id}`).to.be.at.least(margin - 1);
          expect(text.ink.x + text.ink.width, `${place} ${node.id}`).to.be.at.most(
            width - margin + 1,
          );
        }
    }
  });
});
