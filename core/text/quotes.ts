/** Opening and closing, outer and inner. */
type Quotes = readonly [open: string, close: string, innerOpen: string, innerClose: string];

const HIGH: Quotes = ["“", "”", "‘", "’"];
const LOW: Quotes = ["„", "“", "‚", "‘"];
const LOW_HIGH: Quotes = ["„", "”", "‚", "’"];
const NORDIC: Quotes = ["”", "”", "’", "’"];
const ANGLED: Quotes = ["«", "»", "“", "”"];
const SLAVIC: Quotes = ["«", "»", "„", "“"];
const CORNERS: Quotes = ["「", "」", "『", "』"];

/** By language, as the delimiters of the Unicode CLDR say; from memory. */
const BY_LANGUAGE: Readonly<Record<string, Quotes>> = {
  ...of(LOW, "de cs sk sl bg hr"),
  ...of(LOW_HIGH, "pl ro hu"),
  ...of(NORDIC, "sv fi"),
  ...of(ANGLED, "es it pt-PT ca el nb"),
  ...of(SLAVIC, "ru uk"),
  ...of(CORNERS, "ja zh-Hant"),
  ...of(["”", "”", "’", "’"], "he"),
  // A space that does not break stands inside. Common practice in French.
  fr: ["«\u00a0", "\u00a0»", "“", "”"],
};

function of(quotes: Quotes, languages: string): Record<string, Quotes> {
  return Object.fromEntries(languages.split(" ").map((language) => [language, quotes]));
}

/** Straight marks that stand round words, on one line; in feet and inches they stand behind digits and are left. */
const DOUBLE = /(?<![\p{L}\p{N}])"(?=\S)([^"\n]*?\S)"(?![\p{L}\p{N}])/gu;
const SINGLE = /(?<![\p{L}\p{N}])'(?=\S)([^'\n]*?\S)'(?![\p{L}\p{N}])/gu;
/** Between letters, or where a letter is left out in front of a number of a year. */
const APOSTROPHE = /(?<=\p{L})'(?=\p{L})|(?<!\p{N})'(?=\d\ds?\b)/gu;

/** The text with straight quotation marks and apostrophes as its language sets them; what was typed curled stays. */
export function withQuotes(text: string, language: string): string {
  if (!/["']/.test(text)) return text;
  const [open, close, innerOpen, innerClose] =
    BY_LANGUAGE[language] ?? BY_LANGUAGE[language.split("-")[0]!] ?? HIGH;
  return text
    .replace(APOSTROPHE, "’")
    .replace(DOUBLE, (_, inside: string) => {
      const nested = inside.replace(SINGLE, `${innerOpen}$1${innerClose}`);
      return `${open}${nested}${close}`;
    })
    .replace(SINGLE, `${innerOpen}$1${innerClose}`);
}
