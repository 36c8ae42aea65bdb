import { plainDigits } from "./digits";

/** Signs, codes and words of currencies, before or behind an amount; common practice, some of each region. */
const SIGN = "[€$£¥₹₪₩₺₽₫฿₴￥]";
const CODE =
  "(?:eur|usd|gbp|chf|jpy|cny|pln|sek|nok|dkk|czk|huf|inr|ils|aed|sar|egp|brl|kr|zł|zl|kč|ft|lei|руб|грн|лв|fr|₤)";
const WORD = "(?:euros?|euro|円|元|块|원|रुपये|रु|ريال|درهم|جنيه|دينار|يورو|שקל(?:ים)?|ש״ח)";
const AMOUNT = String.raw`\d[\d.,'’ ]*`;

const MONEY = new RegExp(
  `(?:${SIGN}|(?<!\\p{L})${CODE}\\.?)\\s?\\d|${AMOUNT}\\s?(?:${SIGN}|${CODE}(?!\\p{L})|${WORD})`,
  "iu",
);

export const isMoney = (text: string): boolean => MONEY.test(plainDigits(text));
