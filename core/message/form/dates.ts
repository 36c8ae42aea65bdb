import { plainDigits } from "./digits";

/**
 * What a date or a time of day looks like, in any language that the platform knows: names of months and days come from
 * `Intl` (Unicode CLDR), the rest from form. Text is compared with its digits in ASCII.
 */

/** Languages whose names of months and weekdays are told apart. */
const LANGUAGES = [
  ...["en", "de", "fr", "es", "it", "pt", "nl", "pl", "sv", "da", "nb", "fi", "cs", "sk", "hu"],
  ...["ro", "hr", "sl", "tr", "ca", "el", "uk", "ru", "bg", "ar", "fa", "he", "hi", "id", "vi"],
];

const YEAR = 2024;
const days = Array.from({ length: 7 }, (_, i) => new Date(Date.UTC(YEAR, 0, i + 1)));
const months = Array.from({ length: 12 }, (_, i) => new Date(Date.UTC(YEAR, i, 15)));

type Names = "long" | "short";

/** Names of one kind as they stand in a date and as they stand alone, without a full stop, in lower case. */
function namesOf(dates: readonly Date[], field: "month" | "weekday", length: Names): string[] {
  const found = LANGUAGES.flatMap((language) => {
    const alone = new Intl.DateTimeFormat(language, { [field]: length, timeZone: "UTC" });
    const within = new Intl.DateTimeFormat(language, {
      [field]: length,
      day: "numeric",
      timeZone: "UTC",
    });
    return dates.flatMap((date) => [
      alone.format(date),
      ...within.formatToParts(date).flatMap(({ type, value }) => (type === field ? [value] : [])),
    ]);
  });
  const plain = found.map((name) => name.toLowerCase().replace(/\.$/, ""));
  return [...new Set(plain)].filter((name) => /\p{L}{2}/u.test(name));
}

const escaped = (text: string): string => text.replace(/[\\^$.*+?()[\]{}|]/g, "\\$&");

/** Any of the names as a whole word; longer ones are tried first. */
function anyOf(names: readonly string[]): string {
  const sorted = [...names].sort((a, b) => b.length - a.length).map(escaped);
  return `(?<![\\p{L}\\p{M}])(?:${sorted.join("|")})(?![\\p{L}\\p{M}]|-\\p{L})`;
}

/** Today, tomorrow, this and next week and month, as each language says them; this evening by hand, which no calendar has. */
function relativeNames(): string[] {
  const found = LANGUAGES.flatMap((language) => {
    const said = new Intl.RelativeTimeFormat(language, { numeric: "auto" });
    return (["day", "week", "month"] as const).flatMap((unit) =>
      [0, 1].map((count) => said.format(count, unit).toLowerCase()),
    );
  });
  return [...new Set([...found, ...EVENINGS])].filter((name) => !/\d/.test(name));
}

/** Common practice, a few of each language. */
const EVENINGS: readonly string[] = [
  ...["tonight", "this evening", "this weekend", "next weekend", "all weekend"],
  ...["heute abend", "dieses wochenende", "am wochenende", "ce soir", "ce week-end"],
  ...["esta noche", "este fin de semana", "stasera", "questo weekend", "hoje à noite"],
  ...["este fim de semana", "vanavond", "dit weekend", "i kväll", "i helgen", "i aften"],
];

/** What may stand before such a day. */
const UP_TO =
  "(?:only|just|ends|until|from|starting|nur|nur noch|bis|ab|endet|jusqu['’]à|jusqu['’]au|dès|hasta|desde|solo|fino a|da|até|tot|vanaf)";
/** What stands before a month that has no number. */
const IN_MONTH =
  "(?:in|from|until|by|during|ab|im|bis|en|dès|jusqu['’]en|à partir de|desde|hasta|a partir de|da|a|em|vanaf|tot|från|fra|i)";

/** Short names that are ordinary words in English: October and September in Portuguese, August in Spanish … */
const ORDINARY: ReadonlySet<string> = new Set(["out", "set", "ago", "so", "to", "do", "on", "no"]);

interface Patterns {
  /** A weekday's or a month's full name. */
  weekday: RegExp;
  month: RegExp;
  /** The name of a month, short ones too, right beside a number. */
  dayOfMonth: RegExp;
  /** The short name of a weekday before a number. */
  dayBefore: RegExp;
  /** A line that begins with today, or ends with it. */
  relative: RegExp;
  /** A line that ends with “in September”. */
  inMonth: RegExp;
}

let patterns: Patterns | undefined;

/** Made when first asked: some hundreds of names. */
function named(): Patterns {
  if (patterns) return patterns;
  const long = namesOf(months, "month", "long");
  const short = namesOf(months, "month", "short").filter((name) => !ORDINARY.has(name));
  const anyMonth = anyOf([...long, ...short]);
  // English and others add an ending that no calendar has: Saturdays, samedis, sábados.
  const weekdays = namesOf(days, "weekday", "long").flatMap((name) => [name, `${name}s`]);
  const shortDays = anyOf(namesOf(days, "weekday", "short").filter((one) => !ORDINARY.has(one)));
  return (patterns = {
    weekday: new RegExp(anyOf(weekdays), "iu"),
    month: new RegExp(anyOf(long), "iu"),
    dayOfMonth: new RegExp(
      `\\d(?:st|nd|rd|th|er|º|ª|\\.)?\\s*(?:de|di|of)?\\s*${anyMonth}|${anyMonth}\\.?\\s*\\d`,
      "iu",
    ),
    dayBefore: new RegExp(`${shortDays}\\.?,?\\s*\\d`, "iu"),
    relative: new RegExp(`^(?:${UP_TO}\\s)?${anyOf(relativeNames())}`, "iu"),
    inMonth: new RegExp(`(?<!\\p{L})${IN_MONTH}\\s${anyOf(long)}$`, "iu"),
  });
}

const TIME = new RegExp(
  [
    String.raw`(?<![€$£¥₹]\s?)(?<![\d.,:])\d{1,2}[.:]\d{2}(?![\d.,%])(?!\s?(?:${"€|£|\\$|zł|kr|eur|usd|gbp|chf"}))`,
    String.raw`(?<!\d)\d{1,2}\s?(?:am|pm|a\.m\.|p\.m\.|h|uhr|heures?|horas|ore|uur)(?![\p{L}])`,
    String.raw`(?<!\d)\d{1,2}\s?[時时点點시]`,
    String.raw`(?<!\p{L})(?:kl\.?|godz\.?|klo|saat|الساعة|ساعت|בשעה|शाम|सुबह|रात)\s*\d`,
    String.raw`\d{1,2}\s?बजे`,
  ].join("|"),
  "iu",
);

/** Dates in numbers alone, and the way they are written in Chinese, Japanese and Korean. */
const NUMERIC =
  /(?<!\d)\d{1,2}[./]\d{1,2}\.(?:\d{2,4})?(?!\d)|(?<!\d)\d{1,2}\/\d{1,2}\/\d{2,4}|(?<!\d)\d{4}-\d{2}-\d{2}(?!\d)|\d{1,2}\s?[月월]|\d{1,2}\s?[日号號일](?!\p{L})|[日月火水木金土]曜|(?:星期|週|周|礼拜)[一二三四五六日天]|[월화수목금토일]요일/u;

/** A line in so few words that names a day is about that day. */
const FEW_WORDS = 4;

/** A month with a number or in few words, a weekday with one or in few words, today and the like, a time of day. */
export function isDate(text: string, words: number): boolean {
  const line = plainDigits(text);
  const { weekday, month, dayOfMonth, dayBefore, relative, inMonth } = named();
  if (TIME.test(line) || NUMERIC.test(line) || dayOfMonth.test(line)) return true;
  if (dayBefore.test(line)) return true;
  if (words <= FEW_WORDS && (relative.test(line) || inMonth.test(line))) return true;
  const number = /\d/.test(line);
  return (weekday.test(line) && (number || words <= FEW_WORDS)) || (month.test(line) && number);
}

/** “12. März …” begins with a number and a full stop and is no point of a list. */
export const beginsWithDay = (text: string): boolean =>
  new RegExp(`^\\s*\\d{1,2}\\.\\s*${named().month.source}`, "iu").test(plainDigits(text));
