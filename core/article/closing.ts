import { isUrging } from "../message";
import type { OutlineSlide } from "../strip";
import { bodyOf, slide, withinRoom, type Line, type Section, type Sentence } from "./section";

export interface Closing {
  slide: OutlineSlide;
  used: ReadonlySet<string>;
  /** The section that is the last slide, where it has a heading. */
  at?: number;
}

const SITE = /\b(?:https?:\/\/)?((?:[\w-]+\.)+[a-z]{2,}(?:\/[\w\-./]*[\w/])?)/i;
const MOST_CALL = 30;

/** What the article asks for at its end: a short sentence that urges, an address; under its heading where it has one. */
export function closingOf(
  sections: readonly Section[],
  support: Sentence | undefined,
): Closing | undefined {
  const end = sections.at(-1);
  const last = end?.sentences.slice(-3).filter((one) => one !== support) ?? [];
  const urging = last.filter(({ text }) => isUrging(text)).at(-1);
  const addressed = last.find(({ text }) => SITE.test(text));
  const asked = [...new Set([urging, addressed])].filter((one) => one !== undefined);
  if (!end || asked.length === 0) return undefined;
  const site = SITE.exec(addressed?.text ?? "")?.[1];
  const button =
    urging && urging !== addressed && urging.text.length <= MOST_CALL ? urging : undefined;
  const isHeaded = isOnlyTold(end);
  const told = isHeaded ? end.sentences : asked.sort((a, b) => a.at - b.at);
  const body = withinRoom(told.filter((one) => one !== button && one !== support));
  const [first, ...rest] = body;
  const lines: Line[] = isHeaded
    ? [["headline", end.heading!], ...bodyOf(body)]
    : [...lineOf("headline", first?.text), ...bodyOf(rest)];
  const pressed = button?.text.replace(/[.!]$/, "");
  return {
    slide: slide(...lines, ...lineOf("call-to-action", pressed), ...lineOf("site", site)),
    used: new Set(asked.map(({ text }) => text)),
    ...(isHeaded ? { at: end.at } : {}),
  };
}

const lineOf = (slot: string, text: string | undefined): Line[] => (text ? [[slot, text]] : []);

/** A heading with nothing but sentences beneath. */
const isOnlyTold = ({ heading, items, quote }: Section): boolean =>
  heading !== undefined && items.length === 0 && !quote;
