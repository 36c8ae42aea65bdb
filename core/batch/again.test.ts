import { expect } from "chai";
import { demoBrand, demoPiece } from "../../tests/support/demo";
import { appliedWherePossible } from "../edit";
import type { Node, Piece } from "../piece";
import { placementById } from "../placements";
import { shippedTemplates } from "../shipped";
import { applyVariation, changedByHand, outdatedFiles, type Made, type Variation } from "./index";

const document = demoPiece("quillmere", "opening-announcement");
const brand = demoBrand("quillmere");
const placements = ["photo-feed-tall", "story"];
const headlines = ["Boats at ease", "Still water", "The fleet comes home"];
const variations: Variation[] = headlines.map((text) => ({ message: { headline: { text } } }));
const places = placements.map((id) => placementById(id)!);
const dressing = { brand, templates: shippedTemplates };
const made: Made = { document, ...dressing, places, variations };
const outdated = (now: Partial<Made>): string[] =>
  outdatedFiles(made, { ...made, ...now }, placements).map(
    ({ variation, placement }) => `${variation} ${placement}`,
  );
const withNode = (piece: Piece, id: string, change: (node: Node) => Node): Piece => ({
  ...piece,
  arrangement: piece.arrangement.map((node) => (node.id === id ? change(node) : node)),
});
const red = (piece: Piece): Piece =>
  withNode(piece, "headline", (node) => ({ ...node, style: { ...node.style, colour: "#C00000" } }));

describe("a batch that is made again", () => {
  it("leaves what nobody can see otherwise: what varies, names, and how it was laid out when last seen", () => {
    expect(outdated({})).to.deep.equal([]);
    const { headline } = document.message;
    const renamed = {
      ...document,
      title: "Another name",
      shown: {},
      message: { ...document.message, headline: { ...headline!, text: "Nobody’s headline" } },
    };
    expect(outdated({ document: renamed as Piece })).to.deep.equal([]);
  });

  it("makes everything again for another word, colour or kit, and one size for a change of that size", () => {
    const cta = { ...document.message, "call-to-action": { text: "Come in" } };
    expect(outdated({ document: { ...document, message: cta } })).to.have.lengthOf(6);
    expect(outdated({ document: { ...document, spread: { backdrop: "paper" } } })).to.have.lengthOf(
      6,
    );
    const kit = { ...brand, colours: brand.colours.map((one) => ({ ...one, hex: "#123456" })) };
    expect(outdated({ brand: kit })).to.have.lengthOf(6);
    const sizes = document.sizes.map((size) =>
      size.placement === "story" ? { ...size, changes: { headline: { hidden: true } } } : size,
    );
    expect(outdated({ document: { ...document, sizes } })).to.deep.equal([
      "0 story",
      "1 story",
      "2 story",
    ]);
    const corrected = places.map((one) => (one.id === "story" ? { ...one, height: 1900 } : one));
    expect(outdated({ places: corrected })).to.have.lengthOf(3);
    // What was made before placements were kept is not outdated by them.
    expect(outdatedFiles({ ...made, places: [] }, made, placements)).to.deep.equal([]);
  });

  it("makes a variation again that was changed by hand, and no other", () => {
    const base = applyVariation(document, variations[1]!, dressing);
    const changed = changedByHand(variations[1]!, base, red(base));
    expect(changed.message).to.deep.equal(variations[1]!.message);
    expect(outdated({ variations: variations.with(1, changed) })).to.deep.equal([
      "1 photo-feed-tall",
      "1 story",
    ]);
    // Read once more, it is the same.
    expect(changedByHand(changed, base, red(base))).to.deep.equal(changed);
  });

  it("keeps a change by hand whatever the batch has become, and takes other words as the variation's", () => {
    const base = applyVariation(document, variations[0]!, dressing);
    const own = { ...red(base), title: "A title of its own" };
    own.message = { ...own.message, headline: { text: "Better words" } };
    const changed = changedByHand(variations[0]!, base, own);
    expect(changed.message).to.deep.equal({ headline: { text: "Better words" } });
    const cta = { ...document.message, "call-to-action": { text: "Come in" } };
    const now = applyVariation({ ...document, message: cta }, changed, dressing);
    const again = appliedWherePossible(now, changed.edit!);
    expect(again).to.deep.equal(red(now));
    // What it is about may be gone; the rest still holds.
    const without = { ...now, arrangement: now.arrangement.filter(({ id }) => id !== "headline") };
    expect(appliedWherePossible(without, changed.edit!)).to.deep.equal(without);
    // And what is taken back by hand is as the others again.
    expect(changedByHand(changed, base, { ...base, message: own.message }).edit).to.equal(
      undefined,
    );
  });
});
