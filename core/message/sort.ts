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

const MONTH =
  /\b(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)(uary|ruary|ch|il|e|y|ust|tember|ober|ember)?\b/i;
const DAY = /\b(mon|tues|wednes|thurs|fri|satur|sun)days?\b/i;
const TIME = /\b\d{1,2}[.:]\d{2}\b|\b\d{1,2}\s?(am|pm|h)\b/i;
const MONEY = /(€|\$|£|¥|\b(eur|usd|gbp|chf)\b)\s?\d|\d([.,]\d+)?\s?(€|£|\b(eur|usd|gbp|chf)\b)/i;
const FIGURE = /^\d[\d.,]*\s?(%|×|x|k|m)?$/i;
const SITE = /^(https?:\/\/)?[\w-]+(\.[\w-]+)+(\/\S*)?$/;
const HANDLE = /^@[\w.-]+$/;
const QUOTED = /^[“"„«‘]/;
const AUTHOR = /^(—|–|-{1,2}\s|by\s)/i;
const POINT = /^\s*([-•*]|\d+[.)])\s+/;
const AT_PLACE =
  /^(at|in|near|am|im|bei|chez|au)\s|^(under|behind|beside|opposite|outside|along|across from)\s(the|our|\p{Lu})/iu;
const PLACE_NOUN =
  /\b(street|road|square|hall|museum|library|pool|pier|harbour|park|station|café|studio)$/i;
const URGING =
  /^(book|buy|get|join|save|see|sign|start|try|read|find|plan|order|call|come|visit|write|apply|reserve|watch|listen|learn|discover|shop|register|donate|vote|tell)\b/i;

/** What is short enough to be pressed, or to stand over a headline. */
const BUTTON_WORDS = 5;
const KICKER_WORDS = 3;
const DATE_WORDS = 10;
const PLACE_WORDS = 8;
const PRICE_WORDS = 5;
const FEW_WORDS = 4;

/** Tried in this order; the first that fits names the slot. */
const RULES: readonly Rule[] = [
  ["list", ({ text }) => POINT.test(text)],
  ["quote", ({ text }) => QUOTED.test(text)],
  ["author", ({ text, index }) => index > 0 && AUTHOR.test(text)],
  ["handle", ({ text }) => HANDLE.test(text)],
  ["site", ({ text }) => SITE.test(text)],
  ["price", ({ text, words }) => words <= PRICE_WORDS && MONEY.test(text)],
  ["figure", ({ text }) => FIGURE.test(text)],
  [
    "kicker",
    ({ text, words, index, last }) =>
      index === 0 && !last && words <= KICKER_WORDS && (isLoud(text) || text.endsWith(":")),
  ],
  ["date", ({ text, words, index }) => index > 0 && words <= DATE_WORDS && isDate(text, words)],
  [
    "call-to-action",
    ({ text, words, index }) =>
      index > 0 && words <= BUTTON_WORDS && (URGING.test(text) || /(→|›|>>)$/.test(text)),
  ],
  ["place", ({ text, words, index }) => index > 0 && words <= PLACE_WORDS && isPlace(text, words)],
];

/** A month or a weekday with a number, a weekday in few words, or a time of day. */
function isDate(text: string, words: number): boolean {
  const named = MONTH.test(text) || DAY.test(text);
  return TIME.test(text) || (named && (/\d/.test(text) || words <= FEW_WORDS));
}

const isPlace = (text: string, words: number): boolean =>
  AT_PLACE.test(text) || (words <= FEW_WORDS && PLACE_NOUN.test(text));

const isLoud = (text: string): boolean => text === text.toUpperCase() && /\p{L}/u.test(text);

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
    const words = text.split(/\s+/).length;
    const line = { text, words, index, last: index === lines.length - 1 };
    const rule = RULES.find(([slot, fits]) => (MANY.has(slot) || !used.has(slot)) && fits(line));
    const slot = rule?.[0] ?? ordinary(used);
    used.add(slot);
    return { text: slot === "author" ? text.replace(AUTHOR, "").trim() : text, slot };
  });
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
