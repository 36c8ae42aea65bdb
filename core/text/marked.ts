import { MARKS, readMarks, type EmphasisKind } from "./markup";

/** A stretch of words that all stand out in the same way, or not at all. */
export interface Run {
  text: string;
  kind?: EmphasisKind;
}

/**
 * Runs of words as one would type them, with marks; the inverse of `readMarks`. Characters that would be read as
 * marks are kept as they are with `\`. Half a word cannot stand out: its run goes without marks.
 */
export function markedRuns(runs: readonly Run[]): string {
  let typed = "";
  merged(runs).forEach(({ text, kind }, i, all) => {
    const words = kept(text);
    const marked = kind && withMarks(words, kind);
    const next = all[i + 1]?.text.slice(0, 1) ?? "";
    const isRead = marked !== undefined && reads(typed.slice(-1), marked, next, text, kind!);
    typed += isRead ? marked : words;
  });
  return typed;
}

/** Neighbours of one kind are one run; what has no letters stands out in no way. */
function merged(runs: readonly Run[]): Run[] {
  const whole: Run[] = [];
  for (const { text, kind: given } of runs) {
    if (text === "") continue;
    const kind = text.trim() === "" ? undefined : given;
    const last = whole.at(-1);
    if (last && last.kind === kind) last.text += text;
    else whole.push(kind ? { text, kind } : { text });
  }
  return whole;
}

/** As typed, so that nothing in it is taken for a mark. */
function kept(text: string): string {
  const escaped = text.replace(/[*_~=]/g, "\\$&");
  return readMarks(text).emphases.length > 0 ? escaped : text;
}

/** The marks stand at the letters, line by line: one is never read over the end of a line. */
function withMarks(words: string, kind: EmphasisKind): string {
  const mark = Object.keys(MARKS).find((key) => MARKS[key] === kind)!;
  return words.replace(/\S.*\S|\S/g, (line) => `${mark}${line}${mark}`);
}

function reads(before: string, marked: string, after: string, text: string, kind: EmphasisKind) {
  const { emphases } = readMarks(before + marked + after);
  const lines = text.split("\n").filter((line) => line.trim() !== "").length;
  return emphases.filter((one) => one.kind === kind).length === lines;
}
