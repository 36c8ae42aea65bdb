/** Words before a place, as a line that names one begins; common practice, a few of each language. */
const BEFORE = new RegExp(
  `^(?:${[
    // English, where the word alone is telling.
    "(?:at|near|corner of)\\s",
    "(?:in|under|behind|beside|opposite|outside|along|across from|on)\\s(?:the\\s|our\\s|\\p{Lu})",
    // German, French, Spanish, Portuguese, Italian
    "(?:am|im|beim|vor dem|vor der|hinter dem|hinter der|in der|auf dem|auf der|unter der|an der)\\s\\p{Lu}",
    "(?:bei|in)\\s\\p{Lu}\\p{Ll}+(?:$|\\s\\p{Lu}|,)",
    "(?:au|aux|à la|à l['’]|chez|dans la|dans le|sur la|sur le|sous le)\\s?\\p{L}",
    "(?:en el|en la|en los|en las|en)\\s(?:\\p{Lu}|\\p{Ll}+\\s\\p{Lu})",
    "(?:no|na|nos|nas|em)\\s\\p{Lu}",
    "(?:al|alla|allo|all['’]|presso|nel|nella|in)\\s?(?:\\p{Lu}|\\p{Ll}+\\s\\p{Lu})",
    // Dutch, Polish, Swedish, Danish, Norwegian
    "(?:in het|in de|op het|op de|bij)\\s\\p{L}",
    "(?:w|we|na|przy|pod)\\s\\p{Lu}",
    "(?:på|vid|i|under|ved)\\s\\p{Lu}",
  ].join("|")})`,
  "u",
);
/** Scripts without capitals: what stands before or behind the name. */
const OTHER_SCRIPTS =
  /^(?:في|عند|قرب|בבית|ברחוב|בכיכר|במוזיאון|על יד|ליד)\s?|(?:にて|会場|會場|公園|公园|图书馆|圖書館|美術館|美术馆|博物館|博物馆|広場|广场|廣場|通り|大街|路|街|駅|站|館|馆|ホール)[0-9０-９号號]*$|^(?:在|于|地点|地點|場所|会場|장소)|(?:में|पर|मार्ग|चौक|भवन|उद्यान)$|(?:에서|공원|도서관|역|관)$/u;

const NOUN = new RegExp(
  `(?:${[
    "street|road|square|hall|museum|library|pool|pier|harbour|park|station|café|studio|lane|avenue|quay|market|church|theatre|gallery|yard|mill",
    "straße|strasse|platz|gasse|weg|allee|halle|bahnhof|haus|hof|kirche|brücke|ufer|museum|markt",
    "gata|gatan|torg|torget|straat|plein|gracht|kade|huis|kirke|vej",
  ].join("|")})(?:\\s\\d+\\p{L}?)?$`,
  "iu",
);
const NOUN_BEFORE =
  /^(?:\d+,?\s)?(?:rue|avenue|boulevard|place|quai|calle|plaza|paseo|avenida|via|viale|piazza|corso|rua|praça|largo|ulica|ul\.|plac|aleja|al\.|شارع|ميدان|رحاب|حديقة|רחוב|כיכר|שדרות)\s/iu;
/** A name that says what kind of place it is: the noun has a capital, and is not alone. */
const NAME =
  /^\p{Lu}.*\s(?:Lido|Pool|Centre|Center|Club|Gardens?|Beach|Hotel|Arena|House|Barn|School|University|Cinema|Green|Bridge|Castle|Abbey|Docks?|Wharf|Works|Terrace|Rooms|Inn|Arms|Hill|Court)$/u;
/** “12 Canal Street”, “Lange Gasse 7”, “2nd floor”. */
const NUMBERED =
  /^\d+\p{L}?\s(?:\p{Lu}\p{L}+\s?)+$|^(?:\p{Lu}[\p{L}.-]+\s){1,3}\d+\p{L}?$|^\d+(?:st|nd|rd|th|\.|º|e|er)\s(?:floor|Stock|OG|étage|piso|piano)$/u;
/** Several things, or what somebody does with them. */
const LISTED = /,|\s(?:and|or|und|oder|et|ou|y|e|en|i|och|og|&)\s/u;

const FEW_WORDS = 4;
const SENTENCE = 9;
const ADDRESS = 12;

/** Whether a line names a place: by the word before it, or, in few words, by its noun or number. */
export const isPlace = (text: string, words: number): boolean =>
  (words < SENTENCE && (BEFORE.test(lowerFirst(text)) || OTHER_SCRIPTS.test(text))) ||
  (words <= FEW_WORDS && isNamed(text)) ||
  (words <= ADDRESS && isAddress(text.split(/,\s+/)));

const isNamed = (text: string): boolean =>
  NOUN_BEFORE.test(text) ||
  NUMBERED.test(text) ||
  (!LISTED.test(text) && (NOUN.test(text) || NAME.test(text)));

/** “Town Hall, 4 Mill Street”, “Lange Gasse 7, 10115 Oberdorf”: names in a row, one of them with a number, or a house first. */
function isAddress(parts: readonly string[]): boolean {
  if (parts.length < 2 || !parts.every((part) => /^[\p{Lu}\p{N}]/u.test(part))) return false;
  return NOUN.test(parts[0]!) || NAME.test(parts[0]!) || parts.some((part) => NUMBERED.test(part));
}

const BEFORE_WORD = /^\p{Lu}\p{Ll}*(?=\s|['’])/u;
/** A line begins with a capital where the word before a place has none; the pattern is anchored here. */
const lowerFirst = (text: string): string =>
  text.replace(BEFORE_WORD, (word) => word.toLowerCase());
