import { expect } from "chai";
import { batchSlots, columnSlots } from "../../../core/batch";
import { brandSpreads } from "../../../core/brand";
import { shippedTemplates } from "../../../core/shipped";
import { demoBrand, demoPiece } from "../../../tests/support/demo";
import { varyingColumns, type Beside } from "./varying";

describe("what varies in a batch that is set up", () => {
  const piece = demoPiece("quillmere", "opening-announcement");
  const slots = batchSlots(piece);
  const looks = { brand: demoBrand("quillmere"), templates: shippedTemplates, placements: [] };
  const nothing: Beside = {
    slot: undefined,
    pictures: [],
    templates: [],
    typefaces: [],
    spreads: [],
  };
  const of = (columns: string[], rows: string[][], beside: Partial<Beside> = {}) => {
    const table = { columns, rows };
    const chosen = { ...nothing, ...beside };
    const names = (id: string) => `${id}.jpg`;
    return varyingColumns(table, columnSlots(table, slots, []), chosen, looks, names);
  };

  it("is what the table's columns are for, each value once and none that is empty", () => {
    const rows = [
      ["Low tide", "1", " dark "],
      ["Low tide", "2", ""],
      ["No hurry", "3", "light"],
    ];
    expect(of(["headline", "Nr", "spread"], rows)).to.deep.equal([
      {
        name: "headline",
        label: "Headline",
        values: ["Low tide", "No hurry"].map((cell) => ({ key: cell, label: cell })),
      },
      {
        name: "spread",
        label: "Spread",
        values: ["dark", "light"].map((cell) => ({ key: cell, label: cell })),
      },
    ]);
  });

  it("is after it what is chosen beside it, by the names it is known by, in the place of a column", () => {
    const slot = slots.find(({ name }) => name === "picture")!;
    const [template] = shippedTemplates;
    const [spread] = brandSpreads(looks.brand);
    const found = of(["picture", "headline"], [["boats", "Low tide"]], {
      slot,
      pictures: ["a", "b"],
      templates: [template!.id, "gone"],
      spreads: [spread!],
    });
    expect(found.map(({ name }) => name)).to.deep.equal([
      "headline",
      "picture",
      "template",
      "spread",
    ]);
    const labels = found.map(({ values }) => values.map(({ label }) => label));
    expect(labels[1]).to.deep.equal(["a.jpg", "b.jpg"]);
    expect(labels[2]).to.deep.equal([template!.name, "gone"]);
    expect(found[3]!.values).to.have.lengthOf(1);
    expect(found[3]!.values[0]!.key).to.equal("1");
  });
});
