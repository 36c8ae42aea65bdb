import type { OutlineSlide } from "./outline";

/** What stands on the last slide when a message becomes slides: what to do, and where. */
const CLOSING: ReadonlySet<string> = new Set(["call-to-action", "site", "handle"]);
const POINT = /^\s*(?:[-•*+]|\d+[.)])\s+/;

/**
 * The words of one message as slides: what it is about, each point and each paragraph by itself, and what to do at the end.
 * Every word is kept, on one slide only.
 */
export function outlineFromWords(words: Readonly<Record<string, string>>): OutlineSlide[] {
  const said = Object.entries(words).filter(([, text]) => text.trim() !== "");
  const title = said.filter(([slot]) => slot !== "list" && slot !== "body" && !CLOSING.has(slot));
  const closing = said.filter(([slot]) => CLOSING.has(slot));
  const paragraphs = (words.body ?? "").split(/\n\s*\n/).filter((text) => text.trim() !== "");
  const points = (words.list ?? "")
    .split("\n")
    .map((line) => line.replace(POINT, "").trim())
    .filter(Boolean);
  return [
    title,
    ...paragraphs.map((text): [string, string][] => [["body", text.trim()]]),
    ...points.map((text): [string, string][] => [["headline", text]]),
    closing,
  ]
    .filter((slide) => slide.length > 0)
    .map((slide) => ({ words: slide, pictures: [] }));
}

/** All that the slides of an outline say. */
export const outlineWords = (outline: readonly OutlineSlide[]): string[] =>
  outline.flatMap(({ words }) => words.map(([, text]) => text));
