/** A price in words: its figure, and what is said before and after that. */
export interface PriceParts {
  before: string;
  figure: string;
  after: string;
}

const SIGN = "[€$£¥₹₺₽₪฿₩₴₫₦]";
const CODE = "(?:[A-Z]{3}|zł|kr|Kč|Ft|лв|lei|Fr\\.?)";
const AMOUNT = "\\d+(?:[.,'’\\s]\\d{3})*(?:[.,](?:\\d{1,2}|[-–—]))?(?!\\d)";
/** A currency before or after its amount, or a share: “€ 180”, “12,90 zł”, “USD 5”, “30 %”. */
const FIGURE = new RegExp(
  `(?:${SIGN}|\\b${CODE})\\s?${AMOUNT}(?:\\s?[-–]\\s?(?:${SIGN}\\s?)?${AMOUNT})?|${AMOUNT}\\s?(?:${SIGN}|${CODE}(?![\\p{L}])|%)`,
  "u",
);

/** Without a figure the whole is taken for it: “free”. */
export function priceParts(text: string): PriceParts {
  const found = FIGURE.exec(text);
  if (!found) return { before: "", figure: text.trim(), after: "" };
  return {
    before: tidied(text.slice(0, found.index)),
    figure: found[0].trim(),
    after: tidied(text.slice(found.index + found[0].length)),
  };
}

/** Commas and dashes hold a sentence together; apart from it they only hang there. */
const tidied = (text: string): string => text.replace(/^[\s,;:–—-]+|[\s,;:–—-]+$/g, "");
