import { expect } from "chai";
import { demoPiece } from "../../tests/support/demo";
import { asAside, batchSlots, columnSlots, readTable } from "./index";

const piece = demoPiece("quillmere", "opening-announcement");
const slots = batchSlots(piece);
const pictures = [
  { id: "a".repeat(64), name: "Harbour at noon" },
  { id: "b".repeat(64), name: "Gulls" },
];
const ofTable = (table: Record<string, string[]>) => {
  const columns = Object.keys(table);
  const rows = Object.values(table)[0]!.map((_, row) => columns.map((name) => table[name]![row]!));
  const found = columnSlots({ columns, rows }, slots, pictures);
  return Object.fromEntries(columns.map((name, at) => [name, found[at]!.slot?.name]));
};

describe("what the columns of a table are for", () => {
  it("is told by what stands in them, in other languages too, where their headings do not", () => {
    const said = {
      Titel: ["Boote in Ruhe", "Nachts im Museum", "Was die Ebbe übrig lässt"],
      Wann: ["14. März bis 30. August", "Freitag, 14. November, 21:30 Uhr", "Sonntag, 11 Uhr"],
      Bild: ["Gulls", "harbour-at-noon", "Gulls"],
      Knopf: ["Jetzt buchen", "Mehr erfahren", "Karten sichern"],
    };
    expect(ofTable(said)).to.deep.equal({
      Titel: "headline",
      Wann: "date",
      Bild: "picture",
      Knopf: "call-to-action",
    });
    expect(
      ofTable({ Quand: ["le 14 mars", "samedi 2 mai, 18 h"], "": ["Barques", "Bateaux au repos"] }),
    ).to.deep.equal({ Quand: "date", "": "headline" });
  });

  it("is what the heading says, whatever stands there, and each slot has one column", () => {
    const said = {
      support: ["14 March", "15 March"],
      Headline: ["Gulls", "Gulls"],
      when: ["1 May", "2 May"],
      again: ["3 May", "4 May"],
    };
    expect(ofTable(said)).to.deep.equal({
      support: "support",
      Headline: "headline",
      when: "date",
      again: undefined,
    });
  });

  it("is nothing where nothing says so: numbers, marks, long remarks, and what is put in parentheses", () => {
    const said = {
      id: ["1001", "1002", "1003"],
      done: ["yes", "no", "yes"],
      colour: ["red", "blue", "green"],
      remarks: ["x ".repeat(50), "y ".repeat(60), "z ".repeat(70)],
      "(Titel)": ["Boats at rest", "Low tide, no hurry", "Salt and slow wind"],
      // A slot that this piece does not have is none of the others.
      price: ["14 March", "15 March", "16 March"],
    };
    expect(Object.values(ofTable(said)).filter(Boolean)).to.deep.equal([]);
  });

  it("is said where the cells told it, and the rows are read so", () => {
    const table = {
      columns: ["Titel", "Nr"],
      rows: [
        ["Boote in Ruhe", "1"],
        ["Ebbe und Flut", "2"],
      ],
    };
    const { columns, rows, notes } = readTable(table, piece, pictures);
    expect(columns).to.deep.equal(["headline"]);
    expect(rows[1]!.headline!.change.message).to.deep.equal({
      headline: { text: "Ebbe und Flut" },
    });
    expect(notes.map(({ code }) => code)).to.deep.equal(["by-content", "unknown-column"]);
    expect(notes[0]!.text).to.contain("“Titel”").and.to.contain("headline");
  });

  it("is nothing, without a word, once it is put aside", () => {
    const columns = ["headline", "Nr"].map((name, at) => (at === 1 ? asAside(name) : name));
    expect(columns).to.deep.equal(["headline", "(Nr)"]);
    expect(columns.map(asAside)).to.deep.equal(["(headline)", "(Nr)"]);
    const { notes } = readTable({ columns, rows: [["Low tide", "1"]] }, piece, pictures);
    expect(notes).to.deep.equal([]);
  });
});
