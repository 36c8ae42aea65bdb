import { plainDigits } from "../message";
import type { Table } from "./table";

/** How values of a column are written; what a language does with it is Unicode's CLDR, by way of `Intl`. */
export const FORMATS = ["weekday", "day", "short-date", "number", "price"] as const;
export type CellFormat = (typeof FORMATS)[number];

export interface Formatting {
  as: CellFormat;
  /** BCP 47. */
  language: string;
  /** Of prices that name none: ISO 4217. */
  currency: string;
}

/** The table with one column written so. Cells that are no such value stay as they are; `left` counts those with text. */
export function formatted(
  table: Table,
  column: number,
  how: Formatting,
): { table: Table; left: number } {
  const cells = table.rows.map((row) => row[column]?.trim() ?? "");
  const write = writerFor(how, cells);
  let left = 0;
  const rows = table.rows.map((row, at) => {
    const cell = cells[at]!;
    const text = cell && write(cell);
    if (text) return table.columns.map((_, i) => (i === column ? text : (row[i] ?? "")));
    if (cell) left++;
    return row;
  });
  return { table: { ...table, rows }, left };
}

type Writer = (cell: string) => string | undefined;

function writerFor(how: Formatting, cells: readonly string[]): Writer {
  if (how.as === "number") return numberWriter(how.language);
  return how.as === "price" ? priceWriter(how) : dateWriter(how.as, how.language, cells);
}

const DATES = {
  weekday: { weekday: "long", day: "numeric", month: "long" },
  day: { day: "numeric", month: "long", year: "numeric" },
  "short-date": { dateStyle: "short" },
} as const satisfies Record<string, Intl.DateTimeFormatOptions>;

function dateWriter(as: keyof typeof DATES, language: string, cells: readonly string[]): Writer {
  const utc = { timeZone: "UTC" };
  const day = new Intl.DateTimeFormat(language, { ...DATES[as], ...utc });
  const time = new Intl.DateTimeFormat(language, { hour: "numeric", minute: "2-digit", ...utc });
  const dayFirst = isDayFirst(cells, language);
  return (cell) => {
    const read = readDate(cell, dayFirst);
    if (!read) return undefined;
    return read.timed ? `${day.format(read.at)}, ${time.format(read.at)}` : day.format(read.at);
  };
}

const ISO = /^(\d{4})-(\d{1,2})-(\d{1,2})/;
const NUMERIC = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})/;
const CLOCK = /[T ,]\s*(\d{1,2})[:.](\d{2})(?::\d{2}(?:\.\d+)?)?Z?$/;

/** What follows the day is a time of day or nothing. */
function readDate(cell: string, dayFirst: boolean): { at: Date; timed: boolean } | undefined {
  const text = plainDigits(cell);
  const iso = ISO.exec(text);
  const numeric = NUMERIC.exec(text);
  const clock = CLOCK.exec(text);
  const found = iso ?? numeric;
  if (!found || found[0].length + (clock?.[0].length ?? 0) !== text.length) return undefined;
  const [a, b, c] = found.slice(1).map(Number) as [number, number, number];
  const [year, month, day] = iso ? [a, b, c] : dayFirst ? [c, b, a] : [c, a, b];
  const [hour, minute] = clock ? [Number(clock[1]), Number(clock[2])] : [0, 0];
  const at = new Date(Date.UTC(year, month - 1, day, hour, minute));
  // The 31st of February is another day; it is none.
  const isThere = at.getUTCMonth() === month - 1 && at.getUTCDate() === day && hour < 24;
  return isThere && minute < 60 ? { at, timed: clock !== null } : undefined;
}

/** Told by a number that can be no month; where none tells, by the language. */
function isDayFirst(cells: readonly string[], language: string): boolean {
  const pairs = cells.flatMap((cell) => {
    const found = NUMERIC.exec(plainDigits(cell));
    return found ? [[Number(found[1]), Number(found[2])] as const] : [];
  });
  if (pairs.some(([first]) => first > 12)) return true;
  if (pairs.some(([, second]) => second > 12)) return false;
  const parts = new Intl.DateTimeFormat(language, { dateStyle: "short" }).formatToParts(0);
  const order = parts.map(({ type }) => type);
  return order.indexOf("day") < order.indexOf("month");
}

const numberWriter = (language: string): Writer => {
  const numbers = new Intl.NumberFormat(language, { maximumFractionDigits: 20 });
  return (cell) => {
    const value = readNumber(cell);
    return value === undefined ? undefined : numbers.format(value);
  };
};

/** Signs that name one currency alone. */
const SIGNS: Readonly<Record<string, string>> = {
  "€": "EUR",
  "£": "GBP",
  "₹": "INR",
  "₺": "TRY",
  "₴": "UAH",
  zł: "PLN",
  Kč: "CZK",
};
/** A dollar, a crown or a yen may be several. */
const AMBIGUOUS: ReadonlySet<string> = new Set(["$", "kr", "¥"]);

const CODES: ReadonlySet<string> = new Set(Intl.supportedValuesOf("currency"));

/** A number with one sign or code of a currency before or after it. What says more than that, such as “from € 5”, is no price alone. */
function priceWriter({ language, currency: usual }: Formatting): Writer {
  return (cell) => {
    const [, before = "", amount = "", after = ""] =
      /^([\p{L}\p{Sc}]*)\s*([^\p{L}\p{Sc}]+?)\s*([\p{L}\p{Sc}]*)$/u.exec(cell) ?? [];
    const value = readNumber(amount);
    const currency = before && after ? undefined : currencyOf(before || after, usual);
    if (value === undefined || !currency) return undefined;
    // Whole prices stand without zeros, as on a poster.
    const digits = Number.isInteger(value) ? { maximumFractionDigits: 0 } : {};
    return new Intl.NumberFormat(language, { style: "currency", currency, ...digits }).format(
      value,
    );
  };
}

function currencyOf(sign: string, usual: string): string | undefined {
  // A sign that several use, and no sign at all, are the usual one.
  if (sign === "" || AMBIGUOUS.has(sign)) return usual;
  return SIGNS[sign] ?? (CODES.has(sign) ? sign : undefined);
}

/** Whole numbers, in groups of three or not, and what follows a point or a comma. A number with zeros before it is a name. */
const NUMBER = /^([-+]?)(0|[1-9]\d{0,2}(?:([ .,’'])\d{3}(?:\3\d{3})*)|[1-9]\d*)(?:([.,])(\d+))?$/;

/** “1.234” and “1,234” are a thousand and more: in tables of prices and counts, three decimals are rare. */
function readNumber(cell: string): number | undefined {
  const text = plainDigits(cell).replace(/\s/gu, " ").replace("−", "-");
  const [, sign = "", whole, group, point, rest = ""] = NUMBER.exec(text) ?? [];
  if (whole === undefined || (point && point === group)) return undefined;
  return Number(`${sign}${whole.replace(/\D/g, "")}.${rest || "0"}`);
}
