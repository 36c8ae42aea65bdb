/** One workshop, announced in fourteen languages: headline, support, date, place, price, appeal, handle. */
export const workshop: Readonly<Record<string, string>> = {
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
