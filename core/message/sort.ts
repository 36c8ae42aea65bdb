import { isUrging } from "./form/appeals";
import { beginsWithDay, isDate } from "./form/dates";
import { plainDigits } from "./form/digits";
import { isMoney } from "./form/money";
import { isPlace } from "./form/places";

/** A line of what was typed or pasted, and the slot that it seems to be for. */
export interface SortedLine {
  text: string;
  slot: string;
}

interface Line {
  text: string;
  words: number;
  /** Its place among all lines. */
  index: number;
  last: boolean;
}

type Rule = readonly [slot: string, fits: (line: Line) => boolean];

const FIGURE = /^\d[\d.,]*\s?(%|×|x|k|m)?$/i;
const SITE = /^(https?:\/\/)?[\w-]+(\.[\w-]+)+(\/\S*)?$/;
const HANDLE = /^@[\p{L}\p{N}_.-]+$/u;
const QUOTED = /^[“"„«‘「『《‹]/;
const AUTHOR = /^(—|–|-{1,2}\s|by\s|――?)/i;
const POINT = /^\s*([-•*]|\d+[.)])\s+/;
/** What is short enough to be pressed, or to stand over a headline. */
const BUTTON_WORDS = 5;
const KICKER_WORDS = 3;
const DATE_WORDS = 10;
const PLACE_WORDS = 8;
const PRICE_WORDS = 5;

/** Tried in this order; the first that fits names the slot. */
const RULES: readonly Rule[] = [
  ["list", ({ text }) => POINT.test(text) && !beginsWithDay(text)],
  ["quote", ({ text }) => QUOTED.test(text)],
  ["author", ({ text, index }) => index > 0 && AUTHOR.test(text)],
  ["handle", ({ text }) => HANDLE.test(text)],
  ["site", ({ text }) => SITE.test(text)],
  ["price", ({ text, words }) => words <= PRICE_WORDS && isMoney(text)],
  ["figure", ({ text }) => FIGURE.test(plainDigits(text))],
  [
    "kicker",
    ({ text, words, index, last }) =>
      index === 0 && !last && words <= KICKER_WORDS && (isLoud(text) || text.endsWith(":")),
  ],
  ["date", ({ text, words, index }) => index > 0 && words <= DATE_WORDS && isDate(text, words)],
  [
    "call-to-action",
    ({ text, words, index }) => index > 0 && words <= BUTTON_WORDS && isUrging(text),
  ],
  ["place", ({ text, words, index }) => index > 0 && words <= PLACE_WORDS && isPlace(text, words)],
];

/** In capitals; in scripts that have none, nothing is. */
const isLoud = (text: string): boolean =>
  text === text.toUpperCase() && text !== text.toLowerCase();

/** Slots that hold one line each; a second one of the kind goes on as ordinary words. */
const MANY = new Set(["list"]);
const ORDINARY = ["headline", "support", "body"] as const;

/**
 * Sorts lines into slots by plain rules on their form: a mark, a month, a currency, an urging verb. What no rule
 * claims is the headline, then the support, then body. One paragraph of several sentences is parted at its first.
 */
export function sortMessage(typed: string): SortedLine[] {
  const lines = parted(typed.split(/\r?\n/).map((line) => line.trim())).filter(Boolean);
  const used = new Set<string>();
  return lines.map((text, index) => {
    const words = wordsIn(text);
    const line = { text, words, index, last: index === lines.length - 1 };
    const rule = RULES.find(([slot, fits]) => (MANY.has(slot) || !used.has(slot)) && fits(line));
    const slot = rule?.[0] ?? (isAppeal(lines, line, used) ? APPEAL : ordinary(used));
    used.add(slot);
    return { text: slot === "author" ? text.replace(AUTHOR, "").trim() : text, slot };
  });
}

/** Scripts without spaces have about so many letters for each word. */
const LETTERS_A_WORD = 2.5;
const UNSPACED = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}]/gu;

const wordsIn = (text: string): number =>
  Math.max(
    text.split(/\s+/).length,
    Math.round((text.match(UNSPACED)?.length ?? 0) / LETTERS_A_WORD),
  );

const APPEAL = "call-to-action";
const APPEAL_WORDS = 4;

/** In any language: a short last line, behind a headline and more, that only a sender's name may follow. */
function isAppeal(lines: readonly string[], { text, words, index }: Line, used: Set<string>) {
  const after = lines.slice(index + 1);
  const closes = after.every((line) => HANDLE.test(line) || SITE.test(line));
  const short = words <= APPEAL_WORDS && (words > 1 || !/^\p{Script=Latin}+$/u.test(text));
  return (
    closes &&
    short &&
    index > 1 &&
    used.has("support") &&
    !used.has(APPEAL) &&
    !/[.,;:]$/.test(text)
  );
}

/** A quote rules by itself: what follows it is support. */
const ordinary = (used: ReadonlySet<string>): string =>
  ORDINARY.find((slot) => !used.has(slot) && !(slot === "headline" && used.has("quote"))) ?? "body";

/** The longest first sentence that still reads as a headline. */
const HEADLINE_WORDS = 12;

function parted(lines: string[]): string[] {
  const [only, ...more] = lines.filter(Boolean);
  if (!only || more.length > 0) return lines;
  const first = /^(.+?[.!?])\s+(.+)$/.exec(only);
  if (!first || first[1]!.split(/\s+/).length > HEADLINE_WORDS) return lines;
  return [first[1]!.replace(/\.$/, ""), first[2]!];
}

/** The lines as the words of their slots. */
export function wordsOf(lines: readonly SortedLine[]): Record<string, string> {
  const words: Record<string, string> = {};
  for (const { slot, text } of lines) words[slot] = words[slot] ? `${words[slot]}\n${text}` : text;
  return words;
}
