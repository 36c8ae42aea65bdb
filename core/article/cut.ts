import type { OutlineSlide } from "../strip";
import type { Block } from "./block";
import { closingOf, type Closing } from "./closing";
import { rank } from "./rank";
import {
  bodyOf,
  MOST_BODY,
  slide,
  withinRoom,
  type Line,
  type Section,
  type Sentence,
} from "./section";
import { sentencesOf, wordsOf } from "./sentences";

/** An article as slides; every line of them is in the article, word for word, and so is what was left out. */
export interface Cut {
  outline: OutlineSlide[];
  /** Sentences and points that are on no slide, in their order, each with the slide (from 0) that it would go to. */
  leftOut: { text: string; slide: number }[];
}

export interface CutOptions {
  /** How many slides are wanted, title and last one included; fewer where there is less to say. */
  slides: number;
  /** BCP 47. */
  language: string;
  /** What it is called where it has no title of its own. */
  name?: string;
}

/** What a slide holds so that it is read: a headline, a few words beneath, some points. Common practice. */
const MOST_HEADLINE = 90;
const MOST_POINTS = 5;
const MOST_POINT = 80;
const MOST_SUPPORT = 130;

/**
 * Cuts an article into a title, one point a slide, and a last slide. Structure comes first: each heading, list and quotation is a
 * slide. Where there are more than wanted, those stay that say the most of the whole (TextRank); where there are fewer, long
 * sections are parted at their weightiest sentences. Nothing is worded anew.
 */
export function cutArticle(blocks: readonly Block[], options: CutOptions): Cut {
  const { title, rest } = titled(blocks, options);
  const all = sectionsOf(rest, options.language);
  const [lead, ...others] = all;
  const intro = lead && !lead.heading && lead.items.length === 0 && !lead.quote ? lead : undefined;
  const support = intro?.sentences.find(({ text }) => text.length <= MOST_SUPPORT);
  const closing = closingOf(all, support);
  const whole = intro ? [withoutFirst(intro, support), ...others] : all;
  const sections = whole.filter(({ at }) => at !== closing?.at);
  const wanted = Math.max(1, options.slides - 1 - (closing ? 1 : 0));
  const points = chosen(parted(sections.filter(saysSomething), wanted, closing), wanted);
  const slides = points.map((point) => slideOf(point, closing));
  const outline: OutlineSlide[] = [
    slide(
      ...(title ? [["headline", title] as Line] : []),
      ...(support ? [["support", support.text] as Line] : []),
    ),
    ...slides,
    ...(closing ? [closing.slide] : []),
  ];
  return {
    outline: outline.filter(({ words }) => words.length > 0),
    leftOut: leftOutOf(all, points, outline),
  };
}

/** Something may stand over the title: a date, who wrote it. Common practice. */
const BEFORE_TITLE = 3;

/** The title, wherever it stands among the first blocks; else the name, else the first sentence. */
function titled(
  blocks: readonly Block[],
  { name = "", language }: CutOptions,
): { title: string; rest: Block[] } {
  const isTitle = ({ kind }: Block, at: number): boolean =>
    kind === "heading" && at <= BEFORE_TITLE;
  const highest = blocks.findIndex((block, at) => isTitle(block, at) && isOfFirstLevel(block));
  const at = highest >= 0 ? highest : blocks[0]?.kind === "heading" ? 0 : -1;
  const heading = blocks[at];
  if (heading?.kind === "heading") return { title: heading.text, rest: blocks.toSpliced(at, 1) };
  const plain = name
    .replace(/\.[a-z0-9]{2,5}$/i, "")
    .replace(/[-_]+/g, " ")
    .trim();
  const [first, ...rest] = blocks;
  if (plain || first?.kind !== "text") return { title: plain, rest: [...blocks] };
  const [title = "", ...others] = sentencesOf(first.text, language);
  const text: Block[] = others.length > 0 ? [{ kind: "text", text: others.join(" ") }] : [];
  return { title, rest: [...text, ...rest] };
}

const isOfFirstLevel = (block: Block): boolean => block.kind === "heading" && block.level === 1;

function sectionsOf(blocks: readonly Block[], language: string): Section[] {
  const sections: Section[] = [];
  let open: Section | undefined;
  const begin = (heading: string | undefined, at: number): Section => {
    open = { heading, sentences: [], items: [], quote: undefined, at };
    sections.push(open);
    return open;
  };
  const sentences: { sentence: Sentence; words: Set<string> }[] = [];
  blocks.forEach((block, at) => {
    if (block.kind === "heading") return void begin(block.text, at);
    const to = open ?? begin(undefined, at);
    switch (block.kind) {
      case "list":
        (to.items.length > 0 ? begin(to.heading, at) : to).items.push(...block.items);
        break;
      case "quote":
        // What somebody said stands by itself.
        (saysMore(to) ? begin(undefined, at) : to).quote = block.text;
        break;
      case "text":
        for (const text of sentencesOf(block.text, language)) {
          const sentence = { text, weight: 0, at: sentences.length };
          sentences.push({ sentence, words: wordsOf(text, language) });
          to.sentences.push(sentence);
        }
    }
  });
  const weights = rank(sentences.map(({ words }) => words));
  sentences.forEach(({ sentence }, i) => (sentence.weight = weights[i]!));
  return sections;
}

const saysMore = ({ sentences, items, quote }: Section): boolean =>
  sentences.length > 0 || items.length > 0 || quote !== undefined;

const saysSomething = ({ heading, sentences, items, quote }: Section): boolean =>
  heading !== undefined || sentences.length > 0 || items.length > 0 || quote !== undefined;

const withoutFirst = (section: Section, first: Sentence | undefined): Section => ({
  ...section,
  sentences: section.sentences.filter((one) => one !== first),
});

/** Sections that are longer than a slide, in parts, as long as there are fewer than wanted: each part at its weightiest sentence. */
function parted(given: Section[], wanted: number, closing: Closing | undefined): Section[] {
  const sections = given
    .map((section) => ({
      ...section,
      sentences: section.sentences.filter(({ text }) => !closing?.used.has(text)),
    }))
    .filter(saysSomething);
  while (sections.length < wanted) {
    const at = heaviest(sections);
    if (at < 0) break;
    const section = sections[at]!;
    const half = Math.ceil(section.sentences.length / 2);
    const [first, second] = [section.sentences.slice(0, half), section.sentences.slice(half)];
    sections.splice(
      at,
      1,
      { ...section, sentences: first },
      {
        heading: undefined,
        sentences: second,
        items: [],
        quote: undefined,
        at: section.at + 0.5,
      },
    );
  }
  return sections;
}

const LEAST_SENTENCES = 2;

/** The section whose sentences weigh the most and that can be parted; -1 for none. */
function heaviest(sections: readonly Section[]): number {
  let best = -1;
  sections.forEach((section, at) => {
    const can = section.sentences.length >= LEAST_SENTENCES + (section.heading ? 1 : 0);
    if (can && (best < 0 || weightOf(section) > weightOf(sections[best]!))) best = at;
  });
  return best;
}

const weightOf = ({ sentences }: Section): number =>
  sentences.reduce((sum, { weight }) => sum + weight, 0);

/** The sections that say the most, in their order. What is headed, listed or quoted is there on purpose. */
function chosen(sections: readonly Section[], wanted: number): Section[] {
  const worth = (section: Section): number =>
    weightOf(section) +
    (section.heading ? 1 : 0) +
    (section.items.length > 0 || section.quote ? 0.5 : 0);
  return [...sections]
    .sort((a, b) => worth(b) - worth(a))
    .slice(0, wanted)
    .sort((a, b) => sections.indexOf(a) - sections.indexOf(b));
}

const AUTHOR = /\s*(?:—|–|--)\s*([^—–]{2,60})$/;

function slideOf(
  { heading, sentences, items, quote }: Section,
  closing: Closing | undefined,
): OutlineSlide {
  const lines: Line[] = heading ? [["headline", heading]] : [];
  if (quote) {
    const author = AUTHOR.exec(quote);
    lines.push(["quote", author ? quote.slice(0, author.index) : quote]);
    if (author) lines.push(["author", author[1]!]);
    return slide(...lines);
  }
  const points = items.filter((item) => item.length <= MOST_POINT).slice(0, MOST_POINTS);
  const left = sentences.filter(({ text }) => !closing?.used.has(text));
  if (points.length > 0) lines.push(["list", points.map((item) => `- ${item}`).join("\n")]);
  else lines.push(...saidBy(left, heading === undefined));
  if (lines.length === 0 && items.length > 0) lines.push(["body", items[0]!]);
  return slide(...lines);
}

/** The weightiest sentence, with the next that there is room for, in their order; a short one alone is a headline. */
function saidBy(sentences: readonly Sentence[], mayHead: boolean): Line[] {
  const byWeight = [...sentences].sort((a, b) => b.weight - a.weight);
  const [first] = byWeight;
  if (!first) return [];
  if (mayHead && first.text.length <= MOST_HEADLINE) {
    const after = sentences.find(({ at }) => at === first.at + 1);
    const body: Line[] = after && after.text.length <= MOST_BODY ? [["body", after.text]] : [];
    return [["headline", first.text], ...body];
  }
  return bodyOf(withinRoom(sentences));
}

/** What no slide shows, with the slide after which it stood in the article. */
function leftOutOf(
  sections: readonly Section[],
  points: readonly Section[],
  outline: readonly OutlineSlide[],
): Cut["leftOut"] {
  const shown = outline.flatMap(({ words }) => words.map(([, text]) => text)).join("\n");
  return sections.flatMap((section) => {
    const before = points.filter(({ at }) => at <= section.at).length;
    const texts = [
      ...(section.heading ? [section.heading] : []),
      ...section.sentences.map(({ text }) => text),
      ...section.items,
      ...(section.quote ? [section.quote] : []),
    ];
    const out = texts.filter((text) => !isShown(text, shown));
    return out.map((text) => ({ text, slide: before }));
  });
}

const isShown = (text: string, shown: string): boolean =>
  shown.includes(text) ||
  shown.includes(text.replace(/[.!]$/, "")) ||
  (AUTHOR.test(text) && shown.includes(text.replace(AUTHOR, "")));
