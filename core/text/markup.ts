export type EmphasisKind = "strong" | "underline" | "colour" | "marker";

/** A stretch of a text that is to stand out; `from` and `to` are indices into the plain text. */
export interface Emphasis {
  from: number;
  to: number;
  kind: EmphasisKind;
}

/** A text without its marks. `hangs` are the markers of lists, each to stand left of its lines. */
export interface PlainText {
  text: string;
  emphases: Emphasis[];
  hangs: { from: number; to: number }[];
}

/** The marks as typed: *strong*, _underlined_, ~in the accent colour~, =with a marker stroke=. */
export const MARKS: Readonly<Record<string, EmphasisKind>> = {
  "*": "strong",
  _: "underline",
  "~": "colour",
  "=": "marker",
};

/**
 * An opening mark follows a space, a bracket or another mark and is followed by a letter; a closing one is
 * the other way round (as CommonMark's flanking rule has it). So 2*3, snake_case and a=b stay as they are.
 */
const OPENS = /(^|[\s([{“‘"'«¿¡*_~=—–-])$/u;
const CLOSES = /^($|[\s)\]}”’"'».,:;!?…*_~=—–-])/u;

const LIST_ITEM = /^[ \t]*(?:[-•–]|(\d{1,2}[.)]))[ \t]+(?=\S)/gm;
const BULLET = "•\u2002";

/** Takes the marks out of a typed text. An unpaired mark is a character like any other; `\` keeps one as typed. */
export function readMarks(typed: string): PlainText {
  const text = typed.replace(LIST_ITEM, (_, number?: string) =>
    number ? `${number}\u2002` : BULLET,
  );
  const plain = /[*_~=\\]/.test(text) ? withoutMarks(text) : { text, emphases: [] };
  return { ...plain, hangs: typed === text ? [] : markersIn(plain.text) };
}

function markersIn(text: string): { from: number; to: number }[] {
  return [...text.matchAll(/^(?:•|\d{1,2}[.)])\u2002/gm)].map((match) => ({
    from: match.index,
    to: match.index + match[0].length,
  }));
}

function withoutMarks(typed: string): { text: string; emphases: Emphasis[] } {
  const emphases: Emphasis[] = [];
  const open = new Map<string, number>();
  let text = "";
  for (let i = 0; i < typed.length; i++) {
    const mark = typed[i]!;
    if (mark === "\\" && MARKS[typed[i + 1] ?? ""]) {
      text += typed[++i]!;
      continue;
    }
    const kind = MARKS[mark];
    const from = open.get(mark);
    if (kind && from !== undefined && text.length > from && closesHere(typed, i)) {
      emphases.push({ from, to: text.length, kind });
      open.delete(mark);
    } else if (kind && from === undefined && opensHere(typed, i, mark)) {
      open.set(mark, text.length);
    } else {
      text += mark;
    }
  }
  return { text, emphases: emphases.sort((a, b) => a.from - b.from) };
}

const closesHere = (typed: string, at: number): boolean =>
  /\S/.test(typed[at - 1] ?? " ") && CLOSES.test(typed.slice(at + 1, at + 2));

/** It also needs its other half, before the line ends. */
function opensHere(typed: string, at: number, mark: string): boolean {
  if (!OPENS.test(typed.slice(Math.max(0, at - 1), at)) || !/\S/.test(typed[at + 1] ?? " "))
    return false;
  for (let i = at + 2; i < typed.length && typed[i] !== "\n"; i++) {
    if (typed[i] === mark && typed[i - 1] !== "\\" && closesHere(typed, i)) return true;
  }
  return false;
}

/** The words as they are read: without marks, with the markers of lists. */
export const plainText = (typed: string): string => readMarks(typed).text;
