import { freeId } from "../id";
import type { FileId } from "../files";
import { isFigure } from "../message";
import { isPicture, isText, SlotName, type Filling, type Piece, type Slide } from "../piece";
import { slideOf, slideCount, withSlide } from "./slide";

/** One slide of an outline: its slots with their words, and its pictures, in the order in which they are written. */
export interface OutlineSlide {
  words: [slot: string, text: string][];
  /** By what the outline calls them: a picture's name or id. */
  pictures: { name: string; alt: string }[];
}

/** What a picture is called in an outline, and which one is meant by a name. */
export interface PictureNames {
  nameOf(id: FileId): string;
  idOf(name: string): FileId | undefined;
}

const BREAK = /^\s*(?:-{3,}|\*{3,}|_{3,})\s*$/;
const HEADING = /^#{1,6}\s+(.*)$/;
const PICTURE = /^!\[([^\]]*)\]\((.+)\)\s*$/;
const POINT = /^\s*(?:[-*+]|\d+[.)])\s+/;
const QUOTE = /^>\s?/;
/** Words of another slot: `date: 14 March`, which may stand before the heading. The slots that an outline writes otherwise are not written so. */
const NAMED = /^([a-z][a-z0-9-]{0,39}):\s+(.*)$/;

/** What a figure says stands beneath it in so many words at the most; more than that is text. */
const SAYING = 12;
const isSaying = (line: string): boolean => line.trim().split(/\s+/).length <= SAYING;

const isGap = (line: string): boolean => line.trim() === "";

/**
 * Reads an outline: a heading begins a slide, as does `---`, which always stands between those that are written here; beneath it stand text, points (`- `), quotations (`> `), pictures
 * (`![what it shows](name)`) and words of other slots (`date: 14 March`). A heading that is one number is a figure, and the line
 * beneath says what it counts. Nothing is left out and nothing is added.
 */
export function readOutline(text: string): OutlineSlide[] {
  const slides: OutlineSlide[] = [];
  let open: SlideReader | undefined;
  const begin = (): SlideReader => {
    const reader = new SlideReader();
    slides.push(reader.slide);
    return (open = reader);
  };
  for (const line of text.replace(/\r\n?/g, "\n").split("\n")) {
    const heading = HEADING.exec(line);
    if (BREAK.test(line)) open = undefined;
    else if (heading && (!open || open.isBegun)) begin().heading(heading[1]!);
    else if (heading) open!.heading(heading[1]!);
    else if (open) open.line(line);
    else if (!isGap(line)) begin().line(line);
  }
  return slides;
}

/** Whether a text is written as an outline is; else its lines are those of one message. */
export const isOutline = (text: string): boolean =>
  text.split(/\r?\n/).some((line) => BREAK.test(line) || HEADING.test(line));

/** What an outline calls pictures that nobody knows by that name. */
export const unknownPictures = (
  outline: readonly OutlineSlide[],
  { idOf }: PictureNames,
): string[] =>
  outline.flatMap(({ pictures }) => pictures.map(({ name }) => name).filter((name) => !idOf(name)));

/** An outline with a line more on one of its slides: on the last where there is none of that number. */
export function outlineWithLine(text: string, index: number, line: string): string {
  const slides = readOutline(text);
  const at = Math.min(Math.max(0, index), slides.length - 1);
  return writeOutline(
    slides.map((slide, i) => {
      if (i !== at) return slide;
      const body = slide.words.find(([slot]) => slot === "body");
      const words = slide.words.map(([slot, said]): [string, string] =>
        slot === "body" ? [slot, `${said} ${line}`] : [slot, said],
      );
      return { ...slide, words: body ? words : [...words, ["body", line]] };
    }),
  );
}

/** Lines of one slide, which become the words of its slots. */
class SlideReader {
  readonly slide: OutlineSlide = { words: [], pictures: [] };
  /** The slot that the next line goes on with, until there is a gap. */
  private goesOn: string | undefined;
  private gap = false;
  /** Text, points or a quotation. */
  private hasPlain = false;
  private isHeaded = false;
  /** Its heading is a figure, of which nothing has been said yet. */
  private awaitsSaying = false;

  /** Words of named slots may stand before the heading, as a kicker does. */
  get isBegun(): boolean {
    const { words, pictures } = this.slide;
    const hasHeading = this.isHeaded || words.some(([slot]) => slot === "headline");
    return this.hasPlain || pictures.length > 0 || hasHeading;
  }

  heading(text: string): void {
    const figure = isFigure(text.trim()) && !this.isBegun;
    this.put(figure ? "figure" : "headline", text.trim(), "\n");
    this.isHeaded = true;
    this.awaitsSaying = figure;
  }

  line(line: string): void {
    if (isGap(line)) {
      this.gap = true;
      return;
    }
    const picture = PICTURE.exec(line);
    const named = NAMED.exec(line);
    if (picture) this.slide.pictures.push({ alt: picture[1]!, name: picture[2]!.trim() });
    else if (POINT.test(line)) this.plain("list", line.trimEnd(), "\n");
    else if (QUOTE.test(line)) this.plain("quote", line.replace(QUOTE, "").trimEnd(), "\n");
    else if (named && named[1] !== "list") this.put(named[1]!, named[2]!.trimEnd(), "\n");
    // A line that is set in goes on with the words before it.
    else if (/^\s{2,}/.test(line) && this.goesOn && !this.gap)
      this.put(this.goesOn, line.trim(), "\n");
    else if (this.awaitsSaying && isSaying(line)) this.plain("headline", line.trimEnd(), "\n");
    else this.plain("body", line.trimEnd(), this.gap ? "\n\n" : "\n");
    this.gap = false;
    this.awaitsSaying = false;
  }

  private plain(slot: string, text: string, between: string): void {
    this.hasPlain = true;
    this.put(slot, text, between);
  }

  private put(slot: string, text: string, between: string): void {
    const known = this.slide.words.find(([one]) => one === slot);
    if (known) known[1] += `${between}${text}`;
    else this.slide.words.push([slot, text]);
    this.goesOn = slot;
  }
}

/** The outline that is read to the same slides. */
export function writeOutline(slides: readonly OutlineSlide[]): string {
  return `${slides.map(slideText).join("\n\n---\n\n")}\n`;
}

function slideText({ words, pictures }: OutlineSlide): string {
  const [figure, saying, ...others] = words;
  const asWritten = (some: OutlineSlide["words"]) =>
    some.map(([slot, text]) => slotText(slot, text));
  const parts = isHeadedByFigure(words)
    ? [`# ${figure![1]}`, saying![1], ...asWritten(others)]
    : asWritten(words);
  return [...parts, ...pictures.map(({ alt, name }) => `![${alt}](${name})`)].join("\n\n");
}

/** A figure and what it says, where that is read as such again. */
function isHeadedByFigure([
  [first, figure] = ["", ""],
  [second, saying] = ["", ""],
]: OutlineSlide["words"]): boolean {
  if (first !== "figure" || second !== "headline" || !isFigure(figure)) return false;
  const lines = saying.split("\n");
  return lines.length === 1 && saying.trim() === saying && isPlain(lines) && isSaying(saying);
}

function slotText(slot: string, text: string): string {
  const lines = text.split("\n");
  // A second heading would begin a slide.
  if (slot === "headline" && lines.length === 1 && !isFigure(text.trim())) return `# ${text}`;
  if (slot === "quote") return lines.map((line) => `> ${line}`).join("\n");
  if (slot === "list" && lines.every((line) => POINT.test(line))) return text;
  if (slot === "body" && isPlain(lines)) return text;
  const [first = "", ...rest] = lines;
  return [`${slot}: ${first}`, ...rest.map((line) => `  ${line}`)].join("\n");
}

/** Lines that are read as plain text when they stand alone. */
const isPlain = (lines: readonly string[]): boolean =>
  lines.every(
    (line) =>
      ![BREAK, HEADING, PICTURE, POINT, QUOTE, NAMED, /^\s{2,}/].some((mark) => mark.test(line)),
  );

/** The outline of a strip. What only runs through its slides is no part of it. */
export function outlineOf(strip: Piece, { nameOf }: PictureNames): OutlineSlide[] {
  return Array.from({ length: slideCount(strip) }, (_, index) => {
    const message = index === 0 ? strip.message : strip.slides![index - 1]!.message;
    const entries = Object.entries(message);
    return {
      words: entries.flatMap(([slot, filling]) =>
        isText(filling) && filling.text.trim() ? [[slot, filling.text] as [string, string]] : [],
      ),
      pictures: entries.flatMap(([, filling]) =>
        isPicture(filling) ? [{ name: nameOf(filling.picture), alt: filling.alt ?? "" }] : [],
      ),
    };
  });
}

/**
 * The strip with what an outline says: slides keep what was done to them by their place in it, more come and what is too many
 * goes. A picture that nobody knows by its name is left out; `unknown` says which.
 */
export function withOutline(
  strip: Piece,
  outline: readonly OutlineSlide[],
  names: PictureNames,
): { piece: Piece; unknown: string[] } {
  const unknown: string[] = [];
  const wanted = outline.length > 0 ? outline : [{ words: [], pictures: [] }];
  const taken = new Set((strip.slides ?? []).map(({ id }) => id));
  const kept = (strip.slides ?? []).slice(0, wanted.length - 1);
  const more = wanted.slice(1 + kept.length).map((): Slide => {
    const id = freeId(`slide-${taken.size + 2}`, taken, "slide");
    taken.add(id);
    return { id, message: {}, arrangement: groundOf(strip), sizes: [] };
  });
  const started: Piece = { ...strip, slides: [...kept, ...more] };
  const piece = wanted.reduce((done, slide, index) => {
    const own = slideOf(done, index);
    return withSlide(done, index, { ...own, message: messageOf(own, slide, names, unknown) });
  }, started);
  return { piece, unknown };
}

/** A slide begins on the strip's ground; what it says finds its places. */
const groundOf = ({ arrangement }: Piece): Slide["arrangement"] =>
  arrangement.filter(({ role }) => role === "backdrop");

function messageOf(
  { message }: Piece,
  { words, pictures }: OutlineSlide,
  { idOf }: PictureNames,
  unknown: string[],
): Piece["message"] {
  const said = words.flatMap(([slot, text]): [string, Filling][] => {
    const before = message[slot];
    const filling = isText(before) ? { ...before, text } : { text };
    return SlotName.safeParse(slot).success ? [[slot, filling]] : [];
  });
  const slots = Object.entries(message).flatMap(([slot, filling]) =>
    isPicture(filling) && !slot.startsWith("across-") ? [slot] : [],
  );
  const shown = pictures.flatMap(({ name, alt }, at): [string, Filling][] => {
    const id = idOf(name);
    if (!id) {
      unknown.push(name);
      return [];
    }
    const slot = slots[at] ?? (at === 0 ? "picture" : `picture-${at + 1}`);
    const before = message[slot];
    const same = isPicture(before) && before.picture === id ? before : { picture: id };
    return [[slot, alt ? { ...same, alt } : same]];
  });
  return Object.fromEntries([...said, ...shown]);
}
