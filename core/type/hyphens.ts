/** Puts soft hyphens where a word of one language may be parted. */
export type Hyphenate = (word: string) => string;

interface Patterns {
  hyphenateSync(text: string, options: { hyphenChar: string; minWordLength: number }): string;
}

type Load = () => Promise<{ default: Patterns }>;

/** Liang's patterns as the TeX community keeps them, each fetched when a message is in its language. */
const PATTERNS: Readonly<Record<string, Load>> = {
  bg: () => import("hyphen/bg/index.js"),
  ca: () => import("hyphen/ca/index.js"),
  cs: () => import("hyphen/cs/index.js"),
  da: () => import("hyphen/da/index.js"),
  de: () => import("hyphen/de/index.js"),
  el: () => import("hyphen/el/index.js"),
  en: () => import("hyphen/en/index.js"),
  es: () => import("hyphen/es/index.js"),
  fi: () => import("hyphen/fi/index.js"),
  fr: () => import("hyphen/fr/index.js"),
  hr: () => import("hyphen/hr/index.js"),
  hu: () => import("hyphen/hu/index.js"),
  id: () => import("hyphen/id/index.js"),
  it: () => import("hyphen/it/index.js"),
  nb: () => import("hyphen/nb/index.js"),
  nl: () => import("hyphen/nl/index.js"),
  pl: () => import("hyphen/pl/index.js"),
  pt: () => import("hyphen/pt/index.js"),
  ro: () => import("hyphen/ro/index.js"),
  ru: () => import("hyphen/ru/index.js"),
  sk: () => import("hyphen/sk/index.js"),
  sl: () => import("hyphen/sl/index.js"),
  sv: () => import("hyphen/sv/index.js"),
  tr: () => import("hyphen/tr/index.js"),
  uk: () => import("hyphen/uk/index.js"),
};

const SOFT_HYPHEN = "\u00ad";
const SHORTEST = 6;
/** So many letters stay together at either end of a word. Common practice. */
const LEAST = 3;

export const baseLanguage = (language: string): string => language.split("-")[0]!.toLowerCase();

/** How words of a language are parted; undefined where nothing is known of it. */
export async function hyphensFor(language: string): Promise<Hyphenate | undefined> {
  const load = PATTERNS[baseLanguage(language)];
  if (!load) return undefined;
  const { hyphenateSync } = (await load()).default;
  const options = { hyphenChar: SOFT_HYPHEN, minWordLength: SHORTEST };
  return (word) => withoutShortEnds(hyphenateSync(word, options));
}

function withoutShortEnds(parted: string): string {
  const pieces = parted.split(SOFT_HYPHEN);
  const joined: string[] = [];
  for (const piece of pieces) {
    const short = joined.length > 0 && joined.join("").length < LEAST;
    if (short) joined[joined.length - 1] += piece;
    else joined.push(piece);
  }
  while (joined.length > 1 && joined.at(-1)!.replace(/\P{L}/gu, "").length < LEAST) {
    const last = joined.pop()!;
    joined[joined.length - 1] += last;
  }
  return joined.join(SOFT_HYPHEN);
}
