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
  /** Those whose words are the hardest to set; so many are tried. */
  hardest: Message[];
}

const TRIED = 24;

/** Messages of like length together, the longest first. */
export function classesOf(messages: readonly Message[]): Class[] {
  let rest = [...messages];
  const classes: Class[] = [];
  while (rest.length > 0 && classes.length < MOST_CLASSES) {
    const most = rest.reduce((longest, message) => Math.max(longest, lengthOf(message)), 0);
    const isLast = classes.length === MOST_CLASSES - 1;
    const isOwn = (message: Message): boolean => isLast || lengthOf(message) >= SHORTEST * most;
    const own = rest.filter(isOwn);
    classes.push({ most, longest: longestOf(own), hardest: hardestOf(own) });
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

/** Those with the most letters, and those with the longest words. */
function hardestOf(messages: readonly Message[]): Message[] {
  const longestWord = (message: Message): number =>
    Math.max(
      0,
      ...Object.values(message).flatMap((filling) =>
        isText(filling) ? plainText(filling.text).split(/\s+/).map(lettersIn) : [],
      ),
    );
  const by = (measure: (message: Message) => number): Message[] =>
    [...messages].sort((a, b) => measure(b) - measure(a)).slice(0, TRIED / 2);
  return [...new Set([...by(lengthOf), ...by(longestWord)])];
}
