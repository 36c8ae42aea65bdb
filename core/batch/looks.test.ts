import { expect } from "chai";
import { demoBrand, demoPiece } from "../../tests/support/demo";
import { brandSpreads } from "../brand";
import { placementById } from "../placements";
import { carousels, shippedTemplates } from "../shipped";
import { asStrip } from "../strip";
import { pieceOf } from "../templates";
import {
  applyVariation,
  combine,
  countFiles,
  readTable,
  valuesOf,
  type LookNames,
  type Variation,
} from "./index";

const piece = demoPiece("quillmere", "opening-announcement");
const brand = demoBrand("quillmere");
const dressing = { brand, templates: shippedTemplates };
const placements = ["photo-feed-tall", "story", "community-link"].map((id) => placementById(id)!);
const looks: LookNames = { brand, templates: shippedTemplates, placements };
const [first, second] = shippedTemplates;

const read = (columns: string[], ...rows: string[][]) =>
  readTable({ columns, rows }, piece, [], looks);
const variationsOf = (columns: string[], ...rows: string[][]): Variation[] => [
  ...combine({ lists: read(columns, ...rows), pairing: "in-step" }),
];
const facesOf = (of: Variation) =>
  applyVariation(piece, of, dressing).arrangement.flatMap(({ role, style }) =>
    role === "headline" ? [style.case ?? style.type] : [],
  );

describe("the looks of variations", () => {
  it("are named in a table as people name them", () => {
    const columns = ["Headline", "template", "Typefaces", "SPREAD", "language", "sizes"];
    const names = [second!.name.toUpperCase(), "headline in capitals", "2", "german"];
    const [one] = variationsOf(columns, ["Hallo", ...names, "Story, photo-feed-tall"]);
    expect(one).to.deep.equal({
      message: { headline: { text: "Hallo" } },
      template: second!.id,
      typefaces: "capitals",
      spread: brandSpreads(brand)[1],
      language: "de",
      sizes: ["story", "photo-feed-tall"],
    });
    expect(variationsOf(["language"], ["pt-BR"])[0]).to.deep.equal({
      message: {},
      language: "pt-BR",
    });
  });

  it("keep the piece's own where a cell is empty or names nothing that is known, which is said", () => {
    const { rows, notes } = read(
      ["headline", "sizes", "spread"],
      ["A", "", "Sunset"],
      ["B", "story, moon", ""],
    );
    expect(rows.map(({ sizes, spread }) => [sizes, spread])).to.deep.equal([
      [undefined, undefined],
      [undefined, undefined],
    ]);
    expect(notes.map(({ code, row }) => [code, row])).to.deep.equal([
      ["unknown-value", 1],
      ["unknown-value", 2],
    ]);
    expect(notes[1]!.text).to.contain("“story, moon”").and.to.contain("Photo feed, tall; Story");
  });

  it("are no columns of looks where the piece has a slot of that name", () => {
    const said = { ...piece, message: { ...piece.message, language: { text: "Spoken" } } };
    const { rows } = readTable({ columns: ["language"], rows: [["German"]] }, said, [], looks);
    expect(rows[0]!.language!.change).to.deep.equal({ message: { language: { text: "German" } } });
  });

  it("change arrangement, typefaces and language of a piece, and none of its words", () => {
    const [template, typefaces, language] = [second!.id, "capitals", "de"];
    const dressed = applyVariation(piece, { message: {}, template, typefaces, language }, dressing);
    expect(dressed.message).to.deep.equal(piece.message);
    expect(dressed.lead).to.equal(second!.design.lead);
    expect(dressed.language).to.equal("de");
    expect(facesOf({ message: {}, typefaces: "capitals" })).to.include("upper");
    // What is gone meanwhile changes nothing.
    const gone = { message: {}, template: "gone", typefaces: "gone" };
    expect(applyVariation(piece, gone, dressing)).to.deep.equal(piece);
  });

  it("put a strip into another set, slide by slide", () => {
    const about = { id: "strip", title: "Strip", words: {}, pictures: [] };
    const strip = asStrip(pieceOf(carousels[0]!, brand, about));
    const template = carousels[1]!.id;
    const dressed = applyVariation(
      strip,
      { message: {}, template, typefaces: "capitals" },
      { brand, templates: carousels },
    );
    expect(dressed.slides!.map(({ id }) => id)).to.deep.equal(strip.slides!.map(({ id }) => id));
    expect(dressed.arrangement).to.not.deep.equal(strip.arrangement);
    for (const { arrangement } of [dressed, ...dressed.slides!])
      for (const { role, style } of arrangement)
        if (role === "headline") expect(style.case).to.equal("upper");
  });

  it("are mixed with words, and left out where they never go together", () => {
    const lists = read(["headline"], ["A"], ["B"]);
    const templates = [first!.id, second!.id];
    const typefaces = ["kit", "capitals", "text"];
    const never = [{ headline: "A", template: first!.id, typefaces: "text" }];
    const all = [...combine({ lists, templates, typefaces, never, pairing: "every-mix" })];
    expect(all).to.have.lengthOf(2 * 2 * 3 - 1);
    expect(new Set(all.map((one) => JSON.stringify(one)))).to.have.lengthOf(all.length);
  });

  it("are made only for sizes of their own, and called in words", () => {
    const all = variationsOf(["headline", "sizes"], ["A", "story"], ["B", ""]);
    expect(countFiles(piece, all, placements)).to.equal(1 + placements.length);
    const names = { column: (slot: string) => slot, picture: (id: string) => id, look: looks };
    const spread = brandSpreads(brand)[0]!;
    const called = valuesOf(
      {
        message: {},
        template: first!.id,
        typefaces: "text",
        spread,
        language: "de",
        sizes: ["story"],
      },
      names,
    );
    expect(called).to.deep.include({
      template: first!.name,
      typefaces: "headline in the text face",
      language: "German",
      sizes: "Story",
    });
    expect(Object.keys(called)).to.deep.equal([
      "template",
      "typefaces",
      "spread",
      "language",
      "sizes",
    ]);
  });
});
