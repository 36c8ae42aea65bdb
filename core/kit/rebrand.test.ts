import { expect } from "chai";
import { demoBrand, demoPiece } from "../../tests/support/demo";
import type { Piece } from "../piece";
import { placementById } from "../placements";
import { outdated, rebrand } from "./index";

const quillmere = demoBrand("quillmere");
const saltlight = demoBrand("saltlight");
const boats = demoPiece("quillmere", "opening-announcement");

/** The piece with a colour written into its headline and its plate. */
const painted = (headline: string, plate: string): Piece => ({
  ...boats,
  arrangement: boats.arrangement.map((node) =>
    node.role === "headline"
      ? { ...node, style: { ...node.style, colour: headline, plate: { colour: plate } } }
      : node,
  ),
});

const headlineOf = (piece: Piece) => piece.arrangement.find(({ role }) => role === "headline")!;

describe("a piece in another brand", () => {
  it("keeps tokens that name roles, and says nothing about them", () => {
    const before = painted("accent", "#123456");
    const { piece: after, notes } = rebrand(before, quillmere, saltlight);
    expect(headlineOf(after).style).to.include({ colour: "accent" });
    expect(headlineOf(after).style.plate!.colour).to.equal("#123456");
    expect(notes).to.deep.equal([]);
    expect(after.brand).to.equal("saltlight");
  });

  it("gives colours their counterpart by role, else the nearest, and says how near", () => {
    const before = painted("sun", "mist");
    const { piece: after, notes } = rebrand(before, quillmere, saltlight);
    const { style } = headlineOf(after);
    expect(style.colour).to.equal("coral");
    expect(saltlight.colours.map(({ id }) => id)).to.include(style.plate!.colour);
    expect(notes).to.have.lengthOf(2);
    expect(notes[0]).to.match(/^Sun became Coral: both are accent, ΔE00 \d/);
    expect(notes[1]).to.match(/^Mist became .*: the nearest there is/);
  });

  it("names what the other brand lacks", () => {
    const bare = { ...saltlight, logos: [] };
    expect(rebrand(boats, quillmere, bare).notes).to.deep.equal([
      "Saltlight Swim Club has no logo, so its place stays empty",
    ]);
  });
});

describe("what was exported", () => {
  const then = { piece: boats, brand: quillmere };
  it("is out of date when something that it shows was changed, and not otherwise", () => {
    const voice = { ...quillmere.voice, tone: "Loud.", avoid: ["quiet"] };
    const title = { ...boats, title: "Another name" };
    expect(outdated(then, { piece: title, brand: { ...quillmere, voice } })).to.deep.equal([]);
    const site = { ...quillmere, voice: { ...voice, site: "moon.example" } };
    expect(outdated(then, { piece: boats, brand: site })).to.include("Site changed");
    expect(outdated(then, { piece: painted("sun", "mist"), brand: quillmere })).to.deep.equal([
      "The piece was changed",
    ]);
    expect(outdated(then, { piece: boats, brand: saltlight })[0]).to.contain("is in Saltlight");
  });

  it("is out of date when another layout was picked for a size that was made", () => {
    const { placement } = boats.sizes[1]!;
    const picked = {
      ...boats,
      sizes: boats.sizes.map((size) =>
        size.placement === placement ? { ...size, layout: { kind: "card" as const } } : size,
      ),
    };
    const now = { piece: picked, brand: quillmere };
    expect(outdated(then, now)).to.deep.equal(["The piece was changed"]);
    const made = (id: string) => ({ ...then, places: [placementById(id)] });
    expect(outdated(made(placement), now)).to.have.lengthOf(1);
    expect(outdated(made(boats.sizes[2]!.placement), now)).to.deep.equal([]);
  });
});
