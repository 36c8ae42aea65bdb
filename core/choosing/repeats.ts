import { z } from "zod";
import { bitsApart, coloursApart, fromHex } from "../measure";

/** Variations that say or look nearly the same. */
export const Repeat = z.object({
  kind: z.enum(["words", "picture"]),
  /** Their numbers. */
  variations: z.array(z.number().int()),
  /** Of words: what each says where they differ. */
  differ: z.array(z.string()),
});
export type Repeat = z.infer<typeof Repeat>;

/** Texts that share so much of their three-letter pieces say the same to a channel's filter. Common practice, by trial. */
const SAME_WORDS = 0.75;
/** Looks that differ by less everywhere are the same at a glance: bits of the hash, and CIELAB units. By trial. */
const SAME_BITS = 4;
const SAME_COLOURS = 1;
/** So many different wordings are compared with each other. */
const MOST_WORDINGS = 1500;

export interface Worded {
  index: number;
  words: string;
}

/**
 * Different wordings that hardly differ, by the resemblance of their three-letter pieces (A. Broder, “On the resemblance
 * and containment of documents”, 1997).
 */
export function repeatedWords(all: readonly Worded[]): Repeat[] {
  const byWords = new Map<string, number[]>();
  for (const { index, words } of all)
    if (words) byWords.set(words, [...(byWords.get(words) ?? []), index]);
  const wordings = [...byWords.keys()].slice(0, MOST_WORDINGS);
  const pieces = wordings.map(piecesOf);
  const same: Pair[] = [];
  for (let a = 0; a < wordings.length; a++)
    for (let b = a + 1; b < wordings.length; b++)
      if (resemblance(pieces[a]!, pieces[b]!) >= SAME_WORDS) same.push([a, b]);
  const groups = grouped(wordings.length, same);
  return groups.map((group) => ({
    kind: "words",
    variations: group.flatMap((at) => byWords.get(wordings[at]!)!),
    differ: differences(group.map((at) => wordings[at]!)),
  }));
}

export interface Looking {
  index: number;
  hash: string;
  colours: string;
}

/** What comes of comparing all with all. */
export interface Compared {
  repeats: Repeat[];
  /** How far each is from the one most like it, in CIELAB units by number. */
  distinctness: Map<number, number>;
}

/** Variations that say or look the same; the time grows with the square of their number. */
export function compared(words: readonly Worded[], looks: readonly Looking[]): Compared {
  const looking = repeatedLooks(looks);
  return { ...looking, repeats: [...repeatedWords(words), ...looking.repeats] };
}

/** Finished graphics that look the same, and how far each is from the others. */
export function repeatedLooks(all: readonly Looking[]): Compared {
  const colours = all.map((one) => fromHex(one.colours));
  const nearest = all.map(() => Infinity);
  const same: Pair[] = [];
  for (let a = 0; a < all.length; a++)
    for (let b = a + 1; b < all.length; b++) {
      const { mean, most } = coloursApart(
        colours[a]!,
        colours[b]!,
        Math.max(nearest[a]!, nearest[b]!),
      );
      nearest[a] = Math.min(nearest[a]!, mean);
      nearest[b] = Math.min(nearest[b]!, mean);
      if (most < SAME_COLOURS && bitsApart(all[a]!.hash, all[b]!.hash) <= SAME_BITS)
        same.push([a, b]);
    }
  const groups = grouped(all.length, same);
  return {
    repeats: groups.map((group) => ({
      kind: "picture",
      variations: group.map((at) => all[at]!.index),
      differ: [],
    })),
    distinctness: new Map(
      all.flatMap(({ index }, at) => (nearest[at] === Infinity ? [] : [[index, nearest[at]!]])),
    ),
  };
}

type Pair = readonly [number, number];

/** All that hang together by pairs, of two and more; the first of a pair is before the second. */
function grouped(count: number, pairs: Iterable<Pair>): number[][] {
  const head = Array.from({ length: count }, (_, i) => i);
  const headOf = (at: number): number => (head[at] === at ? at : (head[at] = headOf(head[at]!)));
  for (const [a, b] of pairs) head[headOf(b)] = headOf(a);
  const groups = new Map<number, number[]>();
  for (let at = 0; at < count; at++)
    groups.set(headOf(at), [...(groups.get(headOf(at)) ?? []), at]);
  return [...groups.values()].filter((group) => group.length > 1);
}

function piecesOf(text: string): Set<string> {
  const plain = ` ${text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, " ")
    .trim()} `;
  const letters = [...plain];
  return new Set(letters.slice(2).map((_, i) => letters.slice(i, i + 3).join("")));
}

function resemblance(a: ReadonlySet<string>, b: ReadonlySet<string>): number {
  const [fewer, more] = a.size < b.size ? [a, b] : [b, a];
  if (fewer.size < SAME_WORDS * more.size) return 0;
  let both = 0;
  for (const piece of fewer) if (more.has(piece)) both++;
  return both / (a.size + b.size - both);
}

/** What is left of each without the words that all begin and end with. */
function differences(texts: readonly string[]): string[] {
  const words = texts.map((text) => text.split(/\s+/));
  const shortest = Math.min(...words.map((list) => list.length));
  const same = (at: (list: string[]) => string | undefined): boolean =>
    words.every((list) => at(list) === at(words[0]!));
  let [start, end] = [0, 0];
  while (start < shortest && same((list) => list[start])) start++;
  while (end < shortest - start && same((list) => list.at(-1 - end))) end++;
  return words.map((list) => list.slice(start, list.length - end).join(" "));
}
