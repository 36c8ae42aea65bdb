import { expect } from "chai";
import { priceParts } from "./index";

/** Prices as they are typed: what is said before, the figure, what is said after. */
const typed: [text: string, before: string, figure: string, after: string][] = [
  ["€ 180, tools included", "", "€ 180", "tools included"],
  ["from 12,90 zł a month", "from", "12,90 zł", "a month"],
  ["€ 9", "", "€ 9", ""],
  ["ab 19,50 €", "ab", "19,50 €", ""],
  ["$1,299.00 per team", "", "$1,299.00", "per team"],
  ["USD 5 at the door", "", "USD 5", "at the door"],
  ["CHF 20.– inkl. Kaffee", "", "CHF 20.–", "inkl. Kaffee"],
  ["¥ 3,500", "", "¥ 3,500", ""],
  ["1 200 kr for two", "", "1 200 kr", "for two"],
  ["30 % off until Sunday", "", "30 %", "off until Sunday"],
  ["€ 5 – 8, children free", "", "€ 5 – 8", "children free"],
  ["free", "", "free", ""],
];

describe("a price in words", () => {
  for (const [text, before, figure, after] of typed)
    it(`is its figure and what is said with it: ${text}`, () => {
      expect(priceParts(text)).to.deep.equal({ before, figure, after });
    });

  it("loses no letter and no digit", () => {
    const kept = (text: string) => text.replace(/[^\p{L}\p{N}]/gu, "");
    for (const [text] of typed) {
      const { before, figure, after } = priceParts(text);
      expect(kept(`${before}${figure}${after}`)).to.equal(kept(text));
    }
  });
});
