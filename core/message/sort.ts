import { isUrging, mayUrge } from "./form/appeals";
import { beginsWithDay, isDate } from "./form/dates";
import { plainDigits } from "./form/digits";
import { isMoney } from "./form/money";
import { isPlace } from "./form/places";
import { isTerms } from "./form/terms";
import { RULING_SLOTS } from "./slots";

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
  /** The slot of the line before. */
  before: string | undefined;
}

type Rule = readonly [slot: string, fits: (line: Line) => boolean];

const FIGURE = /^\d[\d.,]*\s?(%|×|x|k|m)?$/i;
/** One number by itself, with what it counts in. */
export const isFigure = (text: string): boolean => FIGURE.test(plainDigits(text));
const MAIL = /^[\w.+-]+@[\w-]+(\.[\w-]+)+$/;
const SITE = /^(https?:\/\/)?[\w-]+(\.[\w-]+)+(\/\S*)?$/;
/** Where one is found or written to. */
const isAddress = (text: string): boolean => SITE.test(text) || MAIL.test(text);
const HANDLE = /^@[\p{L}\p{N}_.-]+$/u;
const QUOTED = /^[“"„«‘「『《‹]/;
/** “Still water” opens on Friday: a title in quotation marks, of which something is said. */
const TITLED = /^[“"„«‘「『《‹][^”"“»’」』》›]+[”"“»’」』》›]\s?[\p{L}\p{N}]/u;
const AUTHOR = /^(—|–|-{1,2}\s|by\s|――?)/i;
/** “Mara, regular since 2011”, “Ines Falk”: how somebody is called under what they said. */
const NAMED = /^\p{Lu}[\p{L}.'’-]*(?:,\s\S|(?:\s\p{Lu}[\p{L}.'’-]*){1,3}(?:,|$))/u;
const POINT = /^\s*([-•*]|\d+[.)])\s+/;
/** What is short enough to be pressed, or to stand over a headline. */
const BUTTON_WORDS = 5;
const KICKER_WORDS = 3;
const DATE_WORDS = 10;
const PRICE_WORDS = 5;
const NAME_WORDS = 8;
/** A second line on when it is says little beside the first. */
const MORE_DATE_WORDS = 5;

/** Tried in this order; the first that fits names the slot. */
const RULES: readonly Rule[] = [
  ["list", ({ text }) => POINT.test(text) && !beginsWithDay(text)],
  ["quote", ({ text }) => QUOTED.test(text) && !TITLED.test(text)],
  ["author", (line) => line.index > 0 && (AUTHOR.test(line.text) || isSpeaker(line))],
  ["handle", ({ text }) => HANDLE.test(text)],
  ["site", ({ text }) => isAddress(text)],
  ["terms", ({ text, index }) => index > 0 && isTerms(text)],
  ["price", ({ text, words }) => words <= PRICE_WORDS && isMoney(text)],
  ["figure", ({ text }) => isFigure(text)],
  [
    "kicker",
    ({ text, words, index, last }) =>
      index === 0 && !last && words <= KICKER_WORDS && (isLoud(text) || text.endsWith(":")),
  ],
  [
    "date",
    ({ text, words, index, before }) =>
      index > 0 &&
      words <= (before === "date" ? MORE_DATE_WORDS : DATE_WORDS) &&
      isDate(text, words),
  ],
  [
    "call-to-action",
    ({ text, words, index }) => index > 0 && words <= BUTTON_WORDS && isUrging(text),
  ],
  ["place", ({ text, words, index }) => index > 0 && isPlace(text, words)],
];

/** The slot that a line is for by its form alone, wherever it stands; undefined of ordinary words. */
export function slotByForm(text: string): string | undefined {
  const line = { text, words: wordsIn(text), index: 1, last: false, before: undefined };
  return RULES.find(([, fits]) => fits(line))?.[0];
}

/** In capitals; in scripts that have none, nothing is. */
const isLoud = (text: string): boolean =>
  text === text.toUpperCase() && text !== text.toLowerCase();

/** How somebody is called stands right under what they said, and asks for nothing. */
const isSpeaker = ({ text, words, before }: Line): boolean =>
  before === "quote" && words <= NAME_WORDS && NAMED.test(text) && !isUrging(text);

/** Of other slots a second line goes on as ordinary words; of these only one that stands right under the first, or any. */
const GOES_ON: ReadonlySet<string> = new Set(["date", "terms"]);
const isFree = (slot: string, { before }: Line, used: ReadonlySet<string>): boolean =>
  slot === "list" || !used.has(slot) || (GOES_ON.has(slot) && before === slot);

const ORDINARY = ["headline", "support", "body"] as const;

/**
 * Sorts lines into slots by plain rules on their form: a mark, a month, a currency, an urging verb. What no rule
 * claims is the headline, then the support, then body. One paragraph of several sentences is parted at its first.
 */
export function sortMessage(typed: string): SortedLine[] {
  const lines = parted(typed.split(/\r?\n/).map((line) => line.trim())).filter(Boolean);
  const used = new Set<string>();
  let before: string | undefined;
  const sorted = lines.map((text, index) => {
    const line = { text, words: wordsIn(text), index, last: index === lines.length - 1, before };
    const rule = RULES.find(([slot, fits]) => isFree(slot, line, used) && fits(line));
    const slot = rule?.[0] ?? (isAppeal(lines, line, used) ? APPEAL : ordinary(used));
    used.add(slot);
    before = slot;
    return { text: slot === "author" ? text.replace(AUTHOR, "").trim() : text, slot };
  });
  // What stands over nothing is what it is about itself.
  if (RULING_SLOTS.some((slot) => used.has(slot))) return sorted;
  return sorted.map((line) => (line.slot === "kicker" ? { ...line, slot: "headline" } : line));
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
  const closes = after.every((line) => HANDLE.test(line) || isAddress(line));
  const short = words <= APPEAL_WORDS && (words > 1 || !/^\p{Script=Latin}+$/u.test(text));
  return (
    closes &&
    short &&
    index > 1 &&
    used.has("support") &&
    !used.has(APPEAL) &&
    !/[.,;:]$/.test(text) &&
    mayUrge(text)
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
