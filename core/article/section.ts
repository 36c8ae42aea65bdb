import type { OutlineSlide } from "../strip";

export interface Sentence {
  text: string;
  weight: number;
  /** Its place among all. */
  at: number;
}

export interface Section {
  heading: string | undefined;
  sentences: Sentence[];
  items: string[];
  quote: string | undefined;
  at: number;
}

/** Words of one slot. */
export type Line = [slot: string, text: string];
export const slide = (...words: Line[]): OutlineSlide => ({ words, pictures: [] });

/** What a slide holds beneath its headline so that it is read. Common practice. */
export const MOST_BODY = 180;

export const bodyOf = (sentences: readonly Sentence[]): Line[] =>
  sentences.length > 0 ? [["body", sentences.map(({ text }) => text).join(" ")]] : [];

/** The weightiest sentences that there is room for, in their order. */
export function withinRoom(sentences: readonly Sentence[]): Sentence[] {
  const taken: Sentence[] = [];
  for (const next of [...sentences].sort((a, b) => b.weight - a.weight)) {
    const length = taken.reduce((sum, { text }) => sum + text.length + 1, next.text.length);
    if (length <= MOST_BODY || taken.length === 0) taken.push(next);
  }
  return taken.sort((a, b) => a.at - b.at);
}
