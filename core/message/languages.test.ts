import { expect } from "chai";
import { isDate } from "./form/dates";
import { isMoney } from "./form/money";
import { sortMessage } from "./index";

/** One workshop, announced in fourteen languages: headline, support, date, place, price, appeal, handle. */
const WORKSHOP: Record<string, string> = {
  en: "An evening of paper\nFold, cut and glue\nFriday 14 March, 19:00\nat the Old Library\n€ 12.50\nSave a chair\n@paper.room",
  de: "Ein Abend mit Papier\nFalten, schneiden, kleben\nFreitag, 14. März, 19 Uhr\nin der Alten Bibliothek\n12,50 €\nPlatz sichern\n@paper.room",
  fr: "Une soirée de papier\nPlier, couper, coller\nLe vendredi 14 mars à 19 h\nà la vieille bibliothèque\n12,50 €\nRéserver une place\n@paper.room",
  es: "Una tarde de papel\nDoblar, cortar y pegar\nViernes 14 de marzo, 19:00\nen la Biblioteca Vieja\n12,50 €\nReserva tu silla\n@paper.room",
  it: "Una sera di carta\nPiegare, tagliare, incollare\nVenerdì 14 marzo, ore 19\nalla Biblioteca Vecchia\n12,50 €\nPrenota un posto\n@paper.room",
  pt: "Uma noite de papel\nDobrar, cortar e colar\nSexta-feira, 14 de março, 19h\nna Biblioteca Velha\n12,50 €\nReserve um lugar\n@paper.room",
  nl: "Een avond van papier\nVouwen, knippen, plakken\nVrijdag 14 maart, 19.00 uur\nin de Oude Bibliotheek\n€ 12,50\nReserveer een stoel\n@paper.room",
  pl: "Wieczór z papierem\nSkładanie, cięcie, klejenie\npiątek, 14 marca, godz. 19\nw Starej Bibliotece\n12,90 zł\nZarezerwuj miejsce\n@paper.room",
  sv: "En kväll med papper\nVika, klippa, klistra\nfredag 14 mars, kl. 19\npå Gamla biblioteket\n125 kr\nBoka en stol\n@paper.room",
  ar: "أمسية من ورق\nطي وقص ولصق\nالجمعة ١٤ مارس الساعة ٧\nفي المكتبة القديمة\n٢٥ ريال\nاحجز مكانك\n@paper.room",
  he: "ערב של נייר\nמקפלים, גוזרים ומדביקים\nיום שישי, 14 במרץ, 19:00\nברחוב הספרייה 7\n45 ₪\nשריינו מקום\n@paper.room",
  ja: "紙の夕べ\n折って切って貼る\n3月14日（金）19時\n旧図書館にて\n¥ 1,250\n席を予約する\n@paper.room",
  zh: "纸的夜晚\n折一折剪一剪贴一贴\n3月14日 星期五 19:00\n在老图书馆\n¥ 88\n立即报名\n@paper.room",
  hi: "काग़ज़ की शाम\nमोड़ें काटें और चिपकाएँ सब मिलकर\nशुक्रवार, 14 मार्च, शाम 7 बजे\nपुराने पुस्तकालय में\n₹ 250\nअभी बुक करें\n@paper.room",
};
const SLOTS = ["headline", "support", "date", "place", "price", "call-to-action", "handle"];

describe("a message in any language", () => {
  for (const [language, typed] of Object.entries(WORKSHOP))
    it(`is sorted by form: ${language}`, () => {
      expect(sortMessage(typed).map(({ slot }) => slot)).to.deep.equal(SLOTS);
    });

  it("has no loud first line in a script without capitals, and loses no line", () => {
    for (const typed of Object.values(WORKSHOP)) {
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
