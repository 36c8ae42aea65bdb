import { expect } from "chai";
import { shelfTypesetter, styled } from "../../tests/support/type";
import { shelfTypeface } from "../shelf";
import { hyphensFor } from "./hyphens";

describe("hyphens by language", () => {
  // Duden and the dictionaries of the other languages, from memory.
  const parted: Record<string, [word: string, parts: string]> = {
    de: ["Donaudampfschifffahrtsgesellschaft", "Donau|dampf|schiff|fahrts|ge|sell|schaft"],
    en: ["hyphenation", "hyphen|ation"],
    fr: ["anticonstitutionnellement", "anti|cons|ti|tu|tion|nel|le|ment"],
    it: ["straordinariamente", "straor|di|na|ria|mente"],
    nl: ["aansprakelijkheidsverzekering", "aan|spra|ke|lijk|heids|ver|ze|ke|ring"],
  };
  for (const [language, [word, parts]] of Object.entries(parted))
    it(`part words as ${language} does, with three letters left at either end`, async () => {
      const hyphenate = await hyphensFor(language);
      expect(hyphenate!(word).replaceAll("\u00ad", "|")).to.equal(parts);
    });

  it("are not known of every language", async () => {
    expect(await hyphensFor("ja")).to.equal(undefined);
    expect((await hyphensFor("pt-BR"))!("solidariedade")).to.contain("\u00ad");
  });

  it("let a long headline be set where it would not fit, and leave short words whole", async () => {
    const typesetter = await shelfTypesetter("archivo");
    await typesetter.learnHyphens("de");
    const chain = typesetter.chain(shelfTypeface("archivo")!, 700, "display");
    const set = (text: string, leading: number) =>
      typesetter.paragraph(text, styled(chain, { language: "de", leading }));
    const long = set("Donaudampfschifffahrtsgesellschaft", 0.95);
    const lines = long.balanced(9).map((line) => long.shape(line).text.replaceAll("\u00ad", ""));
    expect(lines.length).to.be.above(2);
    for (const line of lines.slice(0, -1)) expect(line).to.match(/^\p{L}{3,}-$/u);
    expect(set("Frühlingsputz", 0.95).parts).to.have.lengthOf(1);
    expect(set("Wohnungsbesichtigung", 1.4).parts.length).to.be.above(1);
    expect(set("m/f/d", 1.4).parts).to.have.lengthOf(1);
  });

  it("never stand under each other where words leave another way", async () => {
    const typesetter = await shelfTypesetter("archivo");
    await typesetter.learnHyphens("de");
    const chain = typesetter.chain(shelfTypeface("archivo")!, 400, "text");
    const text =
      "Die Wohnungsbesichtigung am Donnerstagnachmittag mit Kaffeemaschinenvorführung im Gemeinschaftswohnzimmer der Eigentümergemeinschaft";
    const set = typesetter.paragraph(text, styled(chain, { language: "de", leading: 1.4 }));
    let hyphened = 0;
    for (let measure = 15; measure < 30; measure += 0.25) {
      const lines = set.balanced(measure).map((line) => set.shape(line).text);
      const ends = lines.map((line) => line.endsWith("-"));
      hyphened += ends.filter(Boolean).length;
      expect(ends.some((end, i) => end && ends[i + 1])).to.equal(false, lines.join(" / "));
    }
    expect(hyphened).to.be.above(10);
  });
});
