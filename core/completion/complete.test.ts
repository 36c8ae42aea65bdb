import { expect } from "chai";
import { demoBrand, demoPiece, demoSources } from "../../tests/support/demo";
import { makeScene } from "../engine";
import type { Filling, Piece } from "../piece";
import { placementById } from "../placements";
import { completed, shownSlots, wordSlots } from "./index";

const piece = demoPiece("quillmere", "opening-announcement");
const brand = demoBrand("quillmere");
const saying = (more: Record<string, Filling>): Piece => ({
  ...piece,
  message: { ...piece.message, ...more },
});
const slotsOf = ({ arrangement }: Piece) => arrangement.map(({ slot }) => slot);

describe("an arrangement that is completed", () => {
  it("is the same where nothing is missing, and once it has been completed", () => {
    expect(completed(piece)).to.equal(piece);
    const whole = completed(saying({ price: { text: "€ 4" } }));
    expect(completed(whole)).to.equal(whole);
  });

  it("has a node for everything that is said, whatever the slot is called", () => {
    const more = saying({
      place: { text: "at the old tollgate" },
      site: { text: "quillmere.example" },
      "step-7": { text: "Wash your hands" },
      blank: { text: "  " },
    });
    const whole = completed(more);
    expect(slotsOf(whole)).to.include.members(wordSlots(more));
    expect(slotsOf(whole)).not.to.include("blank");
    const place = whole.arrangement.find(({ slot }) => slot === "place")!;
    expect(place).to.deep.include({ kind: "text", role: "byline", unplaced: true });
  });

  it("parts a price from what is said with it", () => {
    const whole = completed(saying({ price: { text: "from € 9 a month" } }));
    const parts = whole.arrangement.flatMap(({ part }) => (part ? [part] : []));
    expect(parts).to.have.members(["before", "figure", "after"]);
    const ids = whole.arrangement.map(({ id }) => id);
    expect(new Set(ids).size).to.equal(ids.length);
  });

  it("has the brand's sign, unless a person left it out on purpose", () => {
    const bare = { ...piece, arrangement: piece.arrangement.filter(({ role }) => role !== "logo") };
    const roles = (of: Piece) => completed(of).arrangement.map(({ role }) => role);
    expect(roles(bare)).to.include("logo");
    expect(roles({ ...bare, without: ["logo"] })).not.to.include("logo");
    expect(roles({ ...piece, without: ["logo"] })).not.to.include("logo");
  });

  it("shows on a size what is filled later, and closes up where a slot is emptied", async () => {
    const sources = await demoSources();
    const shown = (of: Piece) => {
      const { layout } = makeScene(of, brand, placementById(of.lead), sources);
      const ids = new Set(layout.placed.map(({ node }) => node.id));
      return {
        kind: layout.layoutId.kind,
        slots: shownSlots(layout.resolved.piece, (id) => ids.has(id)),
      };
    };
    expect(shown(piece).kind).to.equal("as-arranged");
    const later = shown(saying({ place: { text: "at the old tollgate" } }));
    expect(later.kind).not.to.equal("as-arranged");
    expect(later.slots).to.include("place");
    const emptied = shown(saying({ support: { text: "" } }));
    expect(emptied.kind).not.to.equal("as-arranged");
    expect(emptied.slots).not.to.include("support");
  });
});
