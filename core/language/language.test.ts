import { expect } from "chai";
import { demoPiece } from "../../tests/support/demo";
import type { Piece } from "../piece";
import { inItsLanguage, languageOf } from "./index";

describe("the language of a message", () => {
  const messages: Record<string, string> = {
    en: "Build a chair in a weekend\nFor people who have never held a plane",
    de: "Frühlingsputz auf dem Wochenmarkt\nAlles muss an die frische Luft",
    fr: "La nuit des ateliers\nVingt portes ouvertes dans le vieux port",
    es: "La noche de los talleres\nVeinte puertas abiertas en el puerto viejo",
    pl: "Noc warsztatów\nDwadzieścia otwartych drzwi",
    sv: "En kväll med papper\nVika, klippa, klistra",
    nl: "De nacht van de ateliers\nTwintig open deuren in de oude haven",
    pt: "Noite das oficinas\nVinte portas abertas no porto velho, com música até tarde",
    it: "La notte dei laboratori\nVenti porte aperte nel vecchio porto, con musica fino a tardi",
    ja: "はじめての陶芸\n土にふれる一日",
    zh: "纸的夜晚",
    "zh-Hant": "紙的夜晚，歡迎來到圖書館",
    ko: "종이의 밤",
    ar: "ورشة الخط العربي",
    fa: "کارگاه خوشنویسی برای همه پنجشنبه‌ها",
    he: "ערב שירה בגן",
    hi: "काग़ज़ की शाम",
    uk: "Ніч майстерень",
    th: "ค่ำคืนแห่งกระดาษ",
  };
  for (const [language, text] of Object.entries(messages))
    it(`is found: ${language}`, () => expect(languageOf(text)).to.equal(language));

  it("is not guessed from a word or a name, and words of another script beside it do not change it", () => {
    expect(languageOf("Ausverkauft")).to.equal(undefined);
    expect(languageOf("12:00 – 14:00")).to.equal(undefined);
    expect(languageOf("ورشة الخط Calligraphy مع الشاي")).to.equal("ar");
  });

  it("is found again when the words are exchanged, unless a person said it", () => {
    const piece = demoPiece("quillmere", "opening-announcement");
    const saying = (text: string, language?: string): Piece => ({
      ...piece,
      language,
      message: { headline: { text } },
    });
    const [english, german] = [messages["en"]!, messages["de"]!];
    const after = (before: Piece, text: string) =>
      inItsLanguage(before, { ...before, message: { headline: { text } } }).language;
    expect(after(saying(english, "en"), german)).to.equal("de");
    expect(after(saying(english), german)).to.equal("de");
    expect(after(saying(english, "nl"), german)).to.equal("nl");
    expect(after(saying(english, "en"), "Sold")).to.equal("en");
    const corrected = { ...saying(english, "en"), language: "cs" };
    expect(inItsLanguage(saying(english, "en"), corrected).language).to.equal("cs");
  });
});
