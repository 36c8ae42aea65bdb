import type { Hyphenate } from "./hyphens";
import { SOFT_HYPHEN } from "./parts";

/** A word of more letters than this would force its type down, so it may be broken: display type, and text. By eye. */
const LONGEST = { display: 20, text: 13 } as const;
/** Without a dictionary only the longest are broken. */
const LONGEST_GUESSED = 20;
/** So many letters stay on either side of a break. */
const LEAST = 4;
/** What has no syllables is broken after so many signs. */
const STEP = 10;
const ZERO_WIDTH_SPACE = "\u200b";

const CONSONANT = "(?:sch|ch|ph|th|sh|qu|ck|[bcdfghjklmnpqrstvwxyzßçñ])";
const VOWEL = "[aeiouyäöüáéíóúàèìòùâêîôûåæøœ]";
/** Common to most languages in Latin letters: one consonant goes with the vowel behind it. */
const SYLLABLE = new RegExp(`${CONSONANT}(?=${VOWEL})`, "giu");

const WORD = /\S{14,}/gu;

/**
 * The text with places in its longest words at which they may be broken: by the patterns of its language where those
 * are known, else by a rough rule of syllables. An address is broken behind its signs, without a hyphen that would read
 * as a part of it.
 */
export function softened(text: string, kind: keyof typeof LONGEST, hyphenate?: Hyphenate): string {
  if (text.length <= LONGEST[kind]) return text;
  return text.replace(WORD, (word) => {
    if (/[./@]/.test(word))
      return word.length > LONGEST_GUESSED
        ? word.replace(/[./@_=&?-](?=\w)/g, `$&${ZERO_WIDTH_SPACE}`)
        : word;
    if (word.includes(SOFT_HYPHEN) || !/^\p{P}*[\p{L}\p{N}\p{M}]+\p{P}*$/u.test(word)) return word;
    const parted = word.length > LONGEST[kind] ? hyphenate?.(word) : word;
    if (parted?.includes(SOFT_HYPHEN)) return parted;
    return word.length > LONGEST_GUESSED ? inSyllables(word) : word;
  });
}

function inSyllables(word: string): string {
  const places = [...word.matchAll(SYLLABLE)]
    .map(({ index }) => index)
    .filter((at) => at >= LEAST && at <= word.length - LEAST && hasVowel(word.slice(0, at)));
  return withBreaks(word, places.length > 0 ? places : everyStep(word));
}

const hasVowel = (text: string): boolean => new RegExp(VOWEL, "iu").test(text);

/** Between whole characters, so that none is torn apart. */
function everyStep(word: string): number[] {
  const ends: number[] = [];
  let at = 0;
  [...word].forEach((character, i) => {
    at += character.length;
    if ((i + 1) % STEP === 0) ends.push(at);
  });
  return ends.filter((end) => end <= word.length - LEAST);
}

function withBreaks(word: string, places: readonly number[]): string {
  const edges = [0, ...places, word.length];
  return edges
    .slice(1)
    .map((end, i) => word.slice(edges[i], end))
    .join(SOFT_HYPHEN);
}
