import { groups, rollup } from "d3-array";
import { RULING_SLOTS } from "../message";
import { isText, type Piece, type Siblings } from "../piece";
import { plainText } from "../text";

type Message = Piece["message"];

/** A set has at most so many layouts on one placement, for words of different lengths. */
export const MOST_CLASSES = 3;
/** Words of a class are at least so long as a share of its longest. By eye: then they take about as many lines. */
const SHORTEST = 0.55;
/** Few long words do not make many short ones small: words are on the mean at least so long, as a share of the longest of their class. */
const MEAN = 0.7;

const wide = /\p{Script=Han}|\p{Script=Hiragana}|\p{Script=Katakana}|\p{Script=Hangul}/u;

/** Letters of a text, those of East Asian scripts for two. */
const lettersIn = (text: string): number =>
  [...plainText(text)].reduce((sum, letter) => sum + (wide.test(letter) ? 2 : 1), 0);

/** Words that differ by a number, whatever its thousands and decimals, are as long, or they would look like different designs. */
const evenNumbers = (text: string): string => text.replace(/\p{Nd}+(?:[.,]\p{Nd}+)*/gu, "00");

/** How much room a message asks for: the letters of what it rules by, or of all where it rules by nothing. */
export function lengthOf(message: Message): number {
  const texts = Object.entries(message).filter(([, filling]) => isText(filling));
  const ruling = texts.filter(([slot]) => RULING_SLOTS.includes(slot));
  return (ruling.length > 0 ? ruling : texts).reduce(
    (sum, [, filling]) => sum + (isText(filling) ? lettersIn(evenNumbers(filling.text)) : 0),
    0,
  );
}

/** Messages that are laid out alike. */
export interface Class extends Alike {
  /** The longest of them, by `lengthOf`. */
  most: number;
}

/** The most that any of them says in each slot, and some to try: those with the hardest words and those that stand for many. */
export type Alike = Pick<Siblings, "longest" | "tried">;

/** A message, and how many have words of the same lengths. */
type Tried = Siblings["tried"][number];

/** Of each kind: with the most letters, with the longest words, with words of the most usual lengths. */
const TRIED = 8;

/** Letters that take about half as much room as others in most faces (by eye). */
const narrow = /[ijlftrI1 .,:;'’!|]/;

/** Messages of like length together, the longest first. */
export function classesOf(messages: readonly Message[]): Class[] {
  const lengths = messages.map(lengthOf);
  return longestOfGroups(lengths).map((most, at, all) => {
    const own = messages.filter((_, i) => lengths[i]! <= most && lengths[i]! > (all[at + 1] ?? -1));
    return { most, longest: longestOf(own), tried: triedOf(own) };
  });
}

/** A way to part lengths into groups: where in their order each group ends, and what all lose to the longest of theirs. */
interface Parting {
  ends: number[];
  loss: number;
}

/**
 * The longest of each group, the longest first, of as few groups as lengths that are like enough need. Lengths are parted in
 * their order so that the sum of what each loses to the longest of its group, in logarithms, is the least: by dynamic
 * programming, after Fisher, On Grouping for Maximum Homogeneity, Journal of the American Statistical Association 53 (1958).
 */
function longestOfGroups(lengths: readonly number[]): number[] {
  const order = [...new Set(lengths)].sort((a, b) => a - b);
  const log = order.map((length) => Math.log(Math.max(1, length)));
  const counts = rollup(
    lengths,
    (all) => all.length,
    (length) => length,
  );
  // Of the first so many of the order: how many lengths they stand for, and the sum of their logarithms.
  const many = [0];
  const sums = [0];
  order.forEach((length, at) => {
    many.push(many[at]! + counts.get(length)!);
    sums.push(sums[at]! + counts.get(length)! * log[at]!);
  });
  const lossOf = (from: number, to: number): number =>
    log[to - 1]! * (many[to]! - many[from]!) - (sums[to]! - sums[from]!);
  const isLike = ({ ends, loss }: Parting): boolean =>
    loss <= lengths.length * Math.log(1 / MEAN) &&
    ends.every((end, at) => order[ends[at - 1] ?? 0]! >= SHORTEST * order[end - 1]!);

  let best: Parting[] = order.map((_, at) => ({ ends: [at + 1], loss: lossOf(0, at + 1) }));
  for (let groups = 2; groups <= MOST_CLASSES && best.length > 0 && !isLike(best.at(-1)!); groups++)
    best = best.map((one, at) =>
      best.slice(0, at).reduce((least, before) => {
        const from = before.ends.at(-1)!;
        const loss = before.loss + lossOf(from, at + 1);
        return loss < least.loss ? { ends: [...before.ends, at + 1], loss } : least;
      }, one),
    );
  return (best.at(-1)?.ends ?? []).map((end) => order[end - 1]!).reverse();
}

/** Which class a message belongs to: that of the shortest words that holds its own. */
export const classOf = (message: Message, classes: readonly Class[]): Class | undefined =>
  classes.findLast(({ most }) => most >= lengthOf(message)) ?? classes[0];

/** In each slot the longest that any of them says; pictures are those of the first. */
function longestOf(messages: readonly Message[]): Message {
  const result: Message = { ...messages[0] };
  for (const message of messages)
    for (const [slot, filling] of Object.entries(message)) {
      const known = result[slot];
      const isLonger =
        isText(filling) && (!isText(known) || lettersIn(filling.text) > lettersIn(known.text));
      if (isLonger) result[slot] = filling;
    }
  return result;
}

function triedOf(messages: readonly Message[]): Tried[] {
  const alike = groups(messages, shapeOf).map(([, group]): Tried => ({
    message: mostBy(group, widthOf),
    count: group.length,
  }));
  const by = (measure: (one: Tried) => number): Tried[] =>
    [...alike].sort((a, b) => measure(b) - measure(a)).slice(0, TRIED);
  return [
    ...new Set([
      ...by(({ message }) => lengthOf(message)),
      ...by(({ message }) => longestWord(message)),
      ...by(({ count }) => count),
    ]),
  ];
}

/** How long its words are: messages of one shape differ by a number, or by words that break alike. */
const shapeOf = (message: Message): string =>
  wordsOf(message)
    .map((words) => words.map(lettersIn).join(" "))
    .join("|");

const longestWord = (message: Message): number =>
  Math.max(0, ...wordsOf(message).flat().map(lettersIn));

const widthOf = (message: Message): number =>
  [...wordsOf(message).flat().join("")].reduce(
    (sum, letter) => sum + (narrow.test(letter) ? 0.5 : 1),
    0,
  );

const wordsOf = (message: Message): string[][] =>
  Object.values(message).flatMap((filling) =>
    isText(filling) ? [plainText(filling.text).split(/\s+/)] : [],
  );

const mostBy = <T>(all: readonly T[], measure: (one: T) => number): T =>
  all.reduce((most, one) => (measure(one) > measure(most) ? one : most));
