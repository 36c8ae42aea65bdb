import { expect } from "chai";
import fc from "fast-check";
import { grid, BATCH_LIMITS, type Table } from "./index";

const table: Table = {
  columns: ["headline", "date", "price"],
  rows: [["Boats", "1 May", "12"], ["Light", "2 May", "9"], ["Tide", "", "100"], ["Rest"]],
};
const block = (row: number, column: number, rows = 1, columns = 1) => ({
  row,
  column,
  rows,
  columns,
});

describe("a table that is worked on", () => {
  it("takes a block of a spreadsheet in, with rows that it did not have", () => {
    const made = grid.pasted(table, block(3, 1), "3 May\t7\n4 May\t8\tone too many\n");
    expect(made.rows.slice(3)).to.deep.equal([
      ["Rest", "3 May", "7"],
      ["", "4 May", "8"],
    ]);
    expect(made.rows.slice(0, 3)).to.deep.equal(table.rows.slice(0, 3));
    expect(made.columns).to.deep.equal(table.columns);
  });

  it("is filled by one value, downwards, or with nothing", () => {
    expect(grid.pasted(table, block(0, 1, 4), "June").rows.map((row) => row[1])).to.deep.equal(
      Array(4).fill("June"),
    );
    const down = grid.filledDown(table, block(1, 1, 3, 2));
    expect(down.rows.map((row) => row.slice(1))).to.deep.equal([
      ["1 May", "12"],
      ["2 May", "9"],
      ["2 May", "9"],
      ["2 May", "9"],
    ]);
    expect(grid.cleared(table, block(0, 0, 2, 2)).rows.slice(0, 2)).to.deep.equal([
      ["", "", "12"],
      ["", "", "9"],
    ]);
    expect(table.rows[0]).to.deep.equal(["Boats", "1 May", "12"]);
  });

  it("is sorted by numbers as numbers, with what is empty last", () => {
    const by = (column: number) => grid.sortedBy(table, column).rows.map((row) => row[0]);
    expect(by(2)).to.deep.equal(["Light", "Boats", "Tide", "Rest"]);
    expect(by(1)).to.deep.equal(["Boats", "Light", "Tide", "Rest"]);
  });

  it("gets rows and loses them, up to what a table may have", () => {
    expect(grid.withRows(table, 1, 2).rows.map((row) => row[0])).to.deep.equal([
      "Boats",
      "",
      "",
      "Light",
      "Tide",
      "Rest",
    ]);
    expect(grid.withoutRows(table, block(1, 0, 2)).rows).to.have.lengthOf(2);
    expect(grid.withRows(table, 0, 1e6).rows).to.have.lengthOf(BATCH_LIMITS.rows);
    const many = Array(BATCH_LIMITS.rows + 5)
      .fill("x")
      .join("\n");
    expect(grid.pasted(table, block(0, 0), many).rows).to.have.lengthOf(BATCH_LIMITS.rows);
  });

  it("gives a copy that comes in as it was, whatever is in its cells", () => {
    const cell = fc.string({ unit: fc.constantFrom("a", '"', "\t", "\n", ",", "é", " ") });
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell), { minLength: 1, maxLength: 6 }), (rows) => {
        const from: Table = { columns: ["a", "b"], rows };
        const all = block(0, 0, rows.length, 2);
        const to: Table = { columns: ["a", "b"], rows: [["?", "?"]] };
        expect(grid.pasted(to, block(0, 0), grid.copied(from, all)).rows).to.deep.equal(rows);
      }),
    );
  });
});
