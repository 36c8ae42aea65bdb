import { expect } from "chai";
import { languageOf } from "./index";

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
});
