import { expect } from "chai";
import { workshop } from "../../tests/support/languages";
import { isDate } from "./form/dates";
import { isMoney } from "./form/money";
import { sortMessage } from "./index";

const SLOTS = ["headline", "support", "date", "place", "price", "call-to-action", "handle"];

describe("a message in any language", () => {
  for (const [language, typed] of Object.entries(workshop))
    it(`is sorted by form: ${language}`, () => {
      expect(sortMessage(typed).map(({ slot }) => slot)).to.deep.equal(SLOTS);
    });

  it("has no loud first line in a script without capitals, and loses no line", () => {
    for (const typed of Object.values(workshop)) {
      const sorted = sortMessage(typed);
      expect(sorted.map(({ text }) => text).join("\n")).to.equal(typed);
    }
  });

  it("has its dates known by names, numbers and signs", () => {
    const dates = [
      "12. März bis 30. August",
      "7月20日 10:00",
      "١٢ مارس الساعة ٧",
      "Le 3 mai à 20 h",
      "24.12.",
      "2027-03-14",
      "Sábados y domingos",
      "Do 5. Juni",
      "14 de março de 2027",
    ];
    for (const text of dates) expect(isDate(text, text.split(" ").length), text).to.equal(true);
    const none = [
      "We may come",
      "Sold out 2 days early",
      "12 chairs for 12 people",
      "Version 2.5",
      "€ 12.50",
      "3,5 km through the woods",
      "Set in stone",
    ];
    for (const text of none) expect(isDate(text, text.split(" ").length), text).to.equal(false);
  });

  it("has its prices known by sign, code or word, before or behind", () => {
    for (const text of ["1.249,50 €", "12,90 zł", "CHF 40", "₹ 250", "1,200円", "ab 3 €", "kr 99"])
      expect(isMoney(text), text).to.equal(true);
    for (const text of ["12 chairs", "Film 3", "No. 5", "a euro saved", "1868 to 1931"])
      expect(isMoney(text), text).to.equal(false);
  });

  it("keeps a date that begins with a number and a full stop out of the list", () => {
    const slots = (typed: string) => sortMessage(typed).map(({ slot }) => slot);
    expect(slots("Boote in Ruhe\nFotografien\n12. März bis 30. August")[2]).to.equal("date");
    expect(slots("Drei Dinge\n1. Hammer\n2. Säge\n3. Mai-Glocken")).to.deep.equal([
      "headline",
      "list",
      "list",
      "list",
    ]);
  });
});
