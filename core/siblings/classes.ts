import { groups } from "d3-array";
import { RULING_SLOTS } from "../message";
import { isText, type Piece } from "../piece";
import { plainText } from "../text";

type Message = Piece["message"];

/** A set has at most so many layouts on one placement, for words of different lengths. */
export const MOST_CLASSES = 3;
/** Words of a class are at least so long as a share of its longest. By eye: then they take about as many lines. */
const SHORTEST = 0.5;

const wide = /\p{Script=Han}|\p{Script=Hiragana}|\p{Script=Katakana}|\p{Script=Hangul}/u;

/** Letters of a text, those of East Asian scripts for two. */
const lettersIn = (text: string): number =>
  [...plainText(text)].reduce((sum, letter) => sum + (wide.test(letter) ? 2 : 1), 0);

/** How much room a message asks for: the letters of what it rules by, or of all where it rules by nothing. */
export function lengthOf(message: Message): number {
  const texts = Object.entries(message).filter(([, filling]) => isText(filling));
  const ruling = texts.filter(([slot]) => RULING_SLOTS.includes(slot));
  return (ruling.length > 0 ? ruling : texts).reduce(
    (sum, [, filling]) => sum + (isText(filling) ? lettersIn(filling.text) : 0),
    0,
  );
}

/** Messages that are laid out alike. */
export interface Class {
  /** The longest of them, by `lengthOf`. */
  most: number;
  /** The most that any of them says in each slot. */
  longest: Message;
  /** Some of them to try, those with the hardest words and those that stand for many. */
  tried: Tried[];
}

/** A message, and how many have words of the same lengths. */
export interface Tried {
  message: Message;
  count: number;
}

/** Of each kind: with the most letters, with the longest words, with words of the most usual lengths. */
const TRIED = 8;

/** Letters that take about half as much room as others in most faces (by eye). */
const narrow = /[ijlftrI1 .,:;'’!|]/;

/** Messages of like length together, the longest first. */
export function classesOf(messages: readonly Message[]): Class[] {
  let rest = [...messages];
  const classes: Class[] = [];
  while (rest.length > 0 && classes.length < MOST_CLASSES) {
    const most = rest.reduce((longest, message) => Math.max(longest, lengthOf(message)), 0);
    const isLast = classes.length === MOST_CLASSES - 1;
    const isOwn = (message: Message): boolean => isLast || lengthOf(message) >= SHORTEST * most;
    const own = rest.filter(isOwn);
    classes.push({ most, longest: longestOf(own), tried: triedOf(own) });
    rest = rest.filter((message) => !isOwn(message));
  }
  return classes;
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
