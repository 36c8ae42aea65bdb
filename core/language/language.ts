import { detectAll } from "tinyld";
import { hanLanguage } from "../text";

/** Scripts that name a language by themselves, or a choice of those that use letters of their own. */
const BY_SCRIPT: readonly (readonly [RegExp, (text: string) => string | undefined])[] = [
  [/[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]/u, hanLanguage],
  [/\p{Script=Hebrew}/u, () => "he"],
  [
    /\p{Script=Arabic}/u,
    (text) => (/[ٹڈڑےں]/u.test(text) ? "ur" : /[پچژگ]/u.test(text) ? "fa" : "ar"),
  ],
  [/\p{Script=Devanagari}/u, () => "hi"],
  [/\p{Script=Thai}/u, () => "th"],
  [/\p{Script=Greek}/u, () => "el"],
  [/\p{Script=Cyrillic}/u, (text) => (/[іїєґ]/iu.test(text) ? "uk" : "ru")],
];
/** Fewer letters than this say nothing sure. */
const LEAST_LETTERS = 12;
/** The detector's share for its first guess, and how far ahead of the second it must be. By trial on short messages. */
const SURE = 0.05;
const AHEAD = 1.15;

/** The language of a text as BCP 47, by its script and then by its letters; undefined where nothing is sure. */
export function languageOf(text: string): string | undefined {
  const letters = text.match(/\p{L}/gu)?.join("") ?? "";
  for (const [script, choose] of BY_SCRIPT) {
    const own = letters.match(new RegExp(script, "gu"))?.length ?? 0;
    if (own > 0 && own * OWN >= letters.length) return choose(text);
  }
  if (letters.length < LEAST_LETTERS) return undefined;
  const [first, second] = detectAll(text);
  if (!first || first.accuracy < SURE) return undefined;
  return second && first.accuracy < AHEAD * second.accuracy ? undefined : asWritten(first.lang);
}

/** Text in another script names its language though words in Latin letters stand beside it. */
const OWN = 3;

/** The detector knows one Norwegian. */
const asWritten = (language: string): string => (language === "no" ? "nb" : language);
