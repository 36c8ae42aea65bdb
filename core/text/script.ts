/** Scripts that are told apart, as ISO 15924 codes; each is a Unicode script property (UAX #24). */
const SCRIPTS = [
  "Latn", "Grek", "Cyrl", "Armn", "Geor", "Arab", "Hebr", "Syrc", "Thaa", "Nkoo",
  "Deva", "Beng", "Guru", "Gujr", "Orya", "Taml", "Telu", "Knda", "Mlym", "Sinh",
  "Thai", "Laoo", "Mymr", "Khmr", "Tibt", "Ethi", "Hang", "Hira", "Kana", "Bopo", "Hani",
] as const; // oxfmt-ignore

const tests = SCRIPTS.map((script) => [script, new RegExp(`\\p{sc=${script}}`, "u")] as const);
const cache = new Map<number, string>();

/** The script of a character, or "Zyyy" for what is common to many: digits, marks, punctuation. */
export function scriptOf(codePoint: number): string {
  let script = cache.get(codePoint);
  if (script === undefined) {
    const character = String.fromCodePoint(codePoint);
    script = tests.find(([, test]) => test.test(character))?.[0] ?? "Zyyy";
    cache.set(codePoint, script);
  }
  return script;
}

/** Characters without which a script cannot be said to be there. Common practice. */
const PROBES: Record<string, string> = {
  latin: "aZß",
  "latin-ext": "ąČőŁ",
  greek: "αΩώ",
  cyrillic: "жЯї",
  vietnamese: "ệữ",
  arabic: "عربي",
  hebrew: "שלום",
  devanagari: "हिन",
  thai: "ไทย",
  cjk: "日本語",
  hangul: "한글",
};

/** The scripts that a font can set, by the names that the shelf uses. */
export const scriptsOf = (font: { has(codePoint: number): boolean }): string[] =>
  Object.entries(PROBES)
    .filter(([, probe]) => [...probe].every((character) => font.has(character.codePointAt(0)!)))
    .map(([script]) => script);

/** Letters that are joined by strokes, or hang from a line: spacing them would tear it. */
const JOINED = new Set(["Arab", "Syrc", "Nkoo", "Deva", "Beng", "Guru"]);
export const isJoined = (script: string): boolean => JOINED.has(script);

/** Written without spaces between words, so that a break needs a dictionary (UAX #14, class SA). */
export const NEEDS_DICTIONARY = /[\p{sc=Thai}\p{sc=Laoo}\p{sc=Khmr}\p{sc=Mymr}]/u;

export const RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufeff]|[\ud802\ud803\ud83a\ud83b]/;
/** Every character that no face, joining or direction needs to be asked about: plain Latin text. */
export const PLAIN = /^[\u0020-\u007e\u00a0-\u00ac\u00ae-\u024f\u2010-\u2027\u2030-\u205e\u20ac]*$/;
