import { expect } from "chai";
import { readTableFile, readTableText } from "./tables";

const read = (value: unknown) => readTableText(JSON.stringify(value), "rows.json").table;

describe("a table that is JSON", () => {
  it("is a list of objects, of lists under headings, or a table as this program has it", () => {
    const table = {
      columns: ["headline", "price"],
      rows: [
        ["Boats", "4.5"],
        ["Tea", ""],
      ],
    };
    expect(
      read([
        { headline: "Boats", price: 4.5 },
        { headline: "Tea", price: null },
      ]),
    ).to.deep.equal(table);
    expect(
      read([
        ["headline", "price"],
        ["Boats", 4.5],
        ["Tea", null],
      ]),
    ).to.deep.equal(table);
    expect(read(table)).to.deep.equal(table);
    // Columns are all that any row has; a row without words is none.
    expect(read([{ headline: "Boats" }, { headline: " " }, { price: true }])).to.deep.equal({
      columns: ["headline", "price"],
      rows: [
        ["Boats", ""],
        ["", "true"],
      ],
    });
  });

  it("comes from a file with a byte order mark too, and other text that begins like it stays CSV", async () => {
    const bytes = Buffer.from('\uFEFF[{"headline":"Éclair – 5 €"}]');
    expect((await readTableFile(bytes, "rows.json")).table.rows).to.deep.equal([["Éclair – 5 €"]]);
    const csv = readTableText("[draft] headline,date\nBoats,1 May").table;
    expect(csv.columns).to.deep.equal(["[draft] headline", "date"]);
  });

  it("is refused in a sentence where it holds no rows", () => {
    expect(() => readTableText("[{", "rows.json")).to.throw("not valid JSON");
    for (const value of [{}, [1, 2], [{ headline: { text: "Boats" } }], { rows: [] }])
      expect(() => read(value), JSON.stringify(value)).to.throw("no list of rows");
    expect(() => read([])).to.throw("no rows");
    expect(() => read([{ headline: "" }])).to.throw("no rows");
    const wide = Object.fromEntries(Array.from({ length: 101 }, (_, i) => [`c${i}`, "x"]));
    expect(() => read([wide])).to.throw("101 columns");
  });
});
