import { expect } from "chai";
import { formatted, type Formatting } from "./index";

const written = (cells: string[], how: Partial<Formatting>) => {
  const table = { columns: ["date"], rows: cells.map((cell) => [cell]) };
  const made = formatted(table, 0, { as: "weekday", language: "en-GB", currency: "EUR", ...how });
  // Spaces that do not break are CLDR's own; here it is the words that count.
  return { cells: made.table.rows.map(([cell]) => cell!.replace(/\s/gu, " ")), left: made.left };
};

/** What each language writes is Unicode's CLDR; what is held here is what was read, and that it is written so. */
describe("a column that is written for a language", () => {
  it("says dates as people do, with their time of day", () => {
    const cells = ["2026-12-05", "2026-12-06 19:30", "2026-12-07T08:05:00Z"];
    expect(written(cells, {}).cells).to.deep.equal([
      "Saturday 5 December",
      "Sunday 6 December, 19:30",
      "Monday 7 December, 8:05",
    ]);
    expect(written(cells.slice(0, 1), { language: "de" }).cells).to.deep.equal([
      "Samstag, 5. Dezember",
    ]);
    expect(written(cells.slice(0, 1), { language: "pt-BR", as: "day" }).cells).to.deep.equal([
      "5 de dezembro de 2026",
    ]);
    expect(written(["٢٠٢٦-١٢-٠٥"], {}).cells).to.deep.equal(["Saturday 5 December"]);
  });

  it("tells day from month by the column, and else by the language", () => {
    const day = { as: "day" } as const;
    expect(written(["3/4/2026", "25/4/2026"], { ...day, language: "en-US" }).cells).to.deep.equal([
      "April 3, 2026",
      "April 25, 2026",
    ]);
    expect(written(["3/4/2026"], { ...day, language: "en-US" }).cells).to.deep.equal([
      "March 4, 2026",
    ]);
    expect(written(["3.4.2026"], { ...day, language: "de" }).cells).to.deep.equal([
      "3. April 2026",
    ]);
  });

  it("says numbers and prices, however they were written", () => {
    const cells = ["1,234.5", "1.234,5", "1 234,5", "12", "-0.25", "1.234", "0.125", "12345.678"];
    expect(written(cells, { as: "number", language: "de" }).cells).to.deep.equal([
      "1.234,5",
      "1.234,5",
      "1.234,5",
      "12",
      "-0,25",
      "1.234",
      "0,125",
      "12.345,678",
    ]);
    expect(
      written(["12.5", "€9", "GBP 7,00", "1.250,90 zł", "$ 4"], { as: "price", language: "de" })
        .cells,
    ).to.deep.equal(["12,50 €", "9 €", "7 £", "1.250,90 PLN", "4 €"]);
  });

  it("leaves what is none, and counts it", () => {
    const cells = ["2026-02-31", "soon", "", "2026-12-05 and later", "2026-13-01"];
    expect(written(cells, {})).to.deep.equal({ cells, left: 4 });
    const more = ["free", "two for 5", "from € 5", "5 € a head", "€ 5 €", "12 ABC"];
    expect(written(more, { as: "price" })).to.deep.equal({ cells: more, left: more.length });
    const names = ["007", "12 5", "1.234.5", "1,23,4", "030 123 456", "5 to 7"];
    expect(written(names, { as: "number" })).to.deep.equal({ cells: names, left: names.length });
  });
});
