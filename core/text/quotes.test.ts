import { expect } from "chai";
import fc from "fast-check";
import { withQuotes } from "./quotes";

describe("quotation marks", () => {
  // Unicode CLDR, delimiters of each locale; from memory.
  const set: Record<string, [typed: string, set: string]> = {
    en: [`"I came for the soup," she said`, "“I came for the soup,” she said"],
    de: [`"Sie sagte 'komm' und ging"`, "„Sie sagte ‚komm‘ und ging“"],
    fr: [`"Venez tous"`, "«\u00a0Venez tous\u00a0»"],
    pl: [`Noc "warsztatów"`, "Noc „warsztatów”"],
    sv: [`"Vika, klippa"`, "”Vika, klippa”"],
    es: [`La "noche"`, "La «noche»"],
    "pt-BR": [`A "noite"`, "A “noite”"],
    ja: [`"はじめて"`, "「はじめて」"],
  };
  for (const [language, [typed, wanted]] of Object.entries(set))
    it(`are those of ${language}`, () => expect(withQuotes(typed, language)).to.equal(wanted));

  it("are curled as apostrophes too, and left behind numbers, where they are inches", () => {
    expect(withQuotes("Don't miss the '90s", "en")).to.equal("Don’t miss the ’90s");
    expect(withQuotes(`A 27" screen`, "en")).to.equal(`A 27" screen`);
    expect(withQuotes(`5'10" tall`, "en")).to.equal(`5'10" tall`);
  });

  it("stay as they were curled, lose no letter, and are the same when set again", () => {
    expect(withQuotes("»Schon gesetzt«", "de")).to.equal("»Schon gesetzt«");
    const bare = (text: string) => text.replace(/["'“”„‚‘’«»「」\u00a0]/gu, "");
    const text = fc.string({
      unit: fc.constantFrom("a", "é", " ", '"', "'", "7", ",", "\n", "字"),
    });
    fc.assert(
      fc.property(text, fc.constantFrom("en", "de", "fr", "sv"), (typed, language) => {
        const set = withQuotes(typed, language);
        expect(bare(set)).to.equal(bare(typed));
        expect(set.length >= typed.length).to.equal(true);
      }),
    );
  });
});
