import { expect } from "chai";
import { demoBrand, demoPiece } from "../../tests/support/demo";
import { placementById } from "../placements";
import { asStrip, withNewSlide, withOutline, withSlideMoved } from "../strip";
import {
  applyVariation,
  batchSlots,
  columnNames,
  combine,
  countFiles,
  fillingAt,
  readTable,
  tableOfWords,
} from "./index";

const names = { nameOf: (id: string) => id, idOf: () => undefined };
const strip = withOutline(
  asStrip({ ...demoPiece("quillmere", "opening-announcement"), slides: [] }),
  ["One", "Two", "Three"].map((word) => ({ words: [["headline", word]], pictures: [] })),
  names,
).piece;
const dressing = { brand: demoBrand("quillmere"), templates: [] };
const second = strip.slides![0]!.id;

const headlines = (of: typeof strip) =>
  [of, ...of.slides!].map(({ message }) => (message.headline as { text: string }).text);

describe("what of a strip can vary", () => {
  it("is what each slide says, by its place for people and by its slide for variations", () => {
    const slots = batchSlots(strip);
    const of = slots.filter(({ name }) => name.endsWith("headline"));
    expect(of.map(({ name }) => name)).to.deep.equal([
      "headline",
      "slide-2-headline",
      "slide-3-headline",
    ]);
    expect(of[1]!.id).to.equal(`${second}/headline`);
    expect(fillingAt(strip, of[2]!.id)).to.deep.include({ text: "Three" });
    expect(tableOfWords(strip).columns).to.include.members(of.map(({ name }) => name));
  });

  it("is read from headings as they are written, and put on its slide", () => {
    const table = {
      columns: ["Headline", "Slide 2: headline", "slide 9 headline"],
      rows: [
        ["First", "Second", "None"],
        ["", "Other", ""],
      ],
    };
    const lists = readTable(table, strip, []);
    expect(lists.notes.map(({ code }) => code)).to.deep.equal(["unknown-column"]);
    const made = [...combine({ lists, pairing: "in-step" })].map((one) =>
      headlines(applyVariation(strip, one, dressing)),
    );
    expect(made).to.deep.equal([
      ["First", "Second", "Three"],
      ["One", "Other", "Three"],
    ]);
  });

  it("holds when slides change places, and is called by the new place", () => {
    const id = `${second}/headline`;
    const moved = withSlideMoved(strip, 1, 2);
    const variation = { message: { [id]: { text: "Moved" } } };
    expect(headlines(applyVariation(moved, variation, dressing))).to.deep.equal([
      "One",
      "Three",
      "Moved",
    ]);
    expect(columnNames(moved)(id)).to.equal("slide-3-headline");
    // What was said of a slide that is gone changes nothing.
    const gone = { ...strip, slides: strip.slides!.slice(1) };
    expect(applyVariation(gone, variation, dressing).slides).to.deep.equal(gone.slides);
  });

  it("makes a file of each slide that says something, where slides are shown", () => {
    const wordless = withNewSlide(strip, 2, false);
    const empty = wordless.slides!.at(-1)!.id;
    const variations = [{ message: {} }, { message: { [`${empty}/headline`]: { text: "More" } } }];
    const tall = placementById("photo-feed-tall");
    expect(countFiles(wordless, variations, [tall])).to.equal(3 + 4);
    // A link preview shows one picture.
    expect(countFiles(wordless, variations, [placementById("community-link")])).to.equal(2);
    const post = demoPiece("quillmere", "opening-announcement");
    expect(countFiles(post, variations, [tall])).to.equal(2);
  });
});
