/** Words that ask for something to be done, at the head of a line; a few of each language, by common practice. */
const URGING: readonly string[] = [
  // English
  ..."book buy get join save see sign start try read find plan order call come visit write apply reserve watch listen learn discover shop register donate vote tell send ask subscribe download".split(
    " ",
  ),
  // German
  ..."jetzt gleich buche buchen sichern sichere kaufe kaufen komm kommt lies lest melde meldet besuche besucht schreib schreibt mach macht entdecke entdecken erfahre mehr bewirb ruf anmelden mitmachen reservieren bestellen".split(
    " ",
  ),
  // French
  ..."réservez réserver voir découvrez découvrir achetez acheter venez rejoignez inscrivez inscris lire lisez écrivez commandez appelez participez profitez".split(
    " ",
  ),
  // Spanish, Portuguese, Italian
  ..."reserva reserve compra compre descubre descubra ven únete inscríbete lee escribe apúntate llama pide regístrate garanta descubra participe inscreva venha leia peça prenota prenotate acquista compra scopri vieni venite iscriviti leggi scrivi partecipa chiama ordina".split(
    " ",
  ),
  // Dutch, Polish, Swedish, Danish, Norwegian
  ..."boek koop ontdek kom lees schrijf bestel bel reserveer meld zarezerwuj kup zobacz przyjdź zapisz czytaj dołącz zamów napisz sprawdź boka köp upptäck läs anmäl bli skriv beställ bestil køb læs tilmeld bestill kjøp meld".split(
    " ",
  ),
  // Arabic, Hebrew, Hindi
  ..."احجز احجزوا اشتر اشتري سجل سجّل انضم اكتشف اقرأ تعال اتصل اطلب שריינו הזמינו הזמן הירשמו קנו בואו גלו קראו הצטרפו अभी बुक आइए आएं जुड़ें खरीदें पढ़ें देखें".split(
    " ",
  ),
];

const HEAD = new RegExp(`^(?:${URGING.join("|")})(?![\\p{L}\\p{M}])`, "iu");
/** How an appeal ends in languages whose verbs stand last. */
const TAIL =
  /(?:→|›|>>)$|(?:予約する|申し込む|申込む|見る|買う|ください|預約|预约|报名|報名|购买|購買|करें|कीजिए|하기|하세요)[!！。]?$|^(?:立即|马上|馬上|点击|點擊)/u;

/** “Termin vereinbaren”, “Plaats reserveren”: a noun or two, and what is done with it. */
const NOUN_AND_VERB =
  /^(?:\p{Lu}\p{L}*\s){1,2}(?:anfragen|ansehen|bestellen|buchen|entdecken|herunterladen|kaufen|reservieren|sichern|vereinbaren|bekijken|boeken|kopen|maken|reserveren)!?$/u;

export const isUrging = (text: string): boolean =>
  HEAD.test(text) || TAIL.test(text) || NOUN_AND_VERB.test(text);

/** Short lines that say how things are, and ask for nothing; common practice, a few of each language. */
const STATING = new RegExp(
  `^(?:${[
    "no|not|never|none|sold|closed|free|only|limited|all|every|rain|with|from|until|while|terms|back|new",
    "kein|keine|nicht|nur|ausverkauft|geschlossen|kostenlos|eintritt|alle|mit|bei|solange|neu",
    "pas|sans|complet|fermé|gratuit|entrée|seulement|tous|avec|nouveau",
    "no|sin|agotado|cerrado|gratis|entrada|solo|sólo|todos|con|nuevo|sem|esgotado|grátis|senza|esaurito|chiuso|ingresso",
    "geen|niet|uitverkocht|gesloten|alleen|met|inte|slutsålt|fri|udsolgt|utsolgt",
  ].join("|")})(?![\\p{L}\\p{M}])`,
  "iu",
);

/** What is said with one of these sets a limit. */
const LIMITING =
  /(?<!\p{L})(?:only|no|not|nur|keine?|ne|pas|sans|solo|sólo|sin|senza|sem|geen|alleen|inte|ikke|kun)(?!\p{L})/iu;

/** Whether a short line could ask for something in a language whose verbs are not known here. */
export const mayUrge = (text: string): boolean =>
  !STATING.test(text) && !LIMITING.test(text) && !/^\p{N}/u.test(text);
