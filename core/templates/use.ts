import { brandSpreads, type Brand } from "../brand";
import { chromaOf, hexOf, luminance, type Spread } from "../colour";
import type { FileId } from "../files";
import { isPicture, isText, Piece, type Design, type Filling } from "../piece";
import type { Mood, Template } from "./template";

/** What a piece is to say and show: words by slot, and pictures in the order of importance. */
export interface Wanted {
  id: string;
  title: string;
  /** Without any words the template's own sample is shown. */
  words: Readonly<Record<string, string>>;
  pictures: readonly FileId[];
}

/** Where a new piece goes when its template does not say more than its own size; common practice. */
const USUAL = ["photo-feed-tall", "photo-feed-square", "story", "community-link", "microblog-wide"];
const USUAL_ADS = ["ad-medium-rectangle", "ad-leaderboard", "ad-half-page", "ad-phone-banner"];

function sizesOf({ kind, lead, sizes }: Design): Design["sizes"] {
  if (sizes.length > 1) return sizes;
  const usual = kind === "ad" ? USUAL_ADS : USUAL;
  return [...new Set([lead, ...usual])].map((placement) => ({ placement, changes: {} }));
}

/** A new piece of a template in a brand. Words that the template has no place for are kept in the message. */
export function pieceOf(template: Template, brand: Brand, wanted: Wanted): Piece {
  const { design, mood } = template;
  return Piece.parse({
    format: "zestcrate/piece",
    version: 1,
    id: wanted.id,
    title: wanted.title,
    origin: { kind: "template", id: template.id, name: template.name },
    brand: brand.id,
    ...design,
    sizes: sizesOf(design),
    spread: spreadFor(brand, mood),
    message: { ...wordsOf(template, wanted.words), ...picturesOf(template, wanted.pictures) },
  });
}

/** The first of a brand's spreads on such a ground; its first at all where there is none. */
export function spreadFor(brand: Brand, mood: Mood): Spread {
  const all = brandSpreads(brand);
  return all.find((spread) => isMood(brand, spread, mood)) ?? all[0] ?? {};
}

/** By eye: luminances of grounds that look dark or light, and the chroma from which one looks bright. */
const DARK = 0.16;
const LIGHT = 0.55;
const COLOURFUL = 0.09;

/** The ground that a brand's spread makes. */
export function moodOf(brand: Brand, spread: Spread): Mood {
  const whole = { ...brandSpreads(brand)[0], ...spread };
  return (["bright", "dark"] as const).find((mood) => isMood(brand, whole, mood)) ?? "light";
}

function isMood(brand: Brand, { backdrop }: Spread, mood: Mood): boolean {
  const hex = hexOf(brand.colours, backdrop ?? "");
  if (!hex) return false;
  const bright = luminance(hex);
  const colourful = chromaOf(hex) >= COLOURFUL && bright >= DARK;
  if (mood === "bright") return colourful;
  return !colourful && (mood === "dark" ? bright < DARK : bright > LIGHT);
}

function wordsOf({ design, fixed }: Template, given: Wanted["words"]): Record<string, Filling> {
  const nothing = Object.values(given).every((text) => text.trim() === "");
  if (nothing) return design.message;
  const words = placedWords({ design }, given);
  const own = Object.entries(design.message).map(([slot, sample]): [string, Filling] => [
    slot,
    fixed.includes(slot) || !isText(sample) ? sample : { text: words[slot] ?? "" },
  ]);
  const kept = Object.entries(words).filter(
    ([slot, text]) => !Object.hasOwn(design.message, slot) && text,
  );
  return Object.fromEntries([
    ...own,
    ...kept.map(([slot, text]): [string, Filling] => [slot, { text }]),
  ]);
}

/** Slots that stand for each other where a template has only one of them; the ruling words come first. */
const RULING = ["headline", "quote", "figure"];
const SAYING = ["support", "body", "date", "place"];

/**
 * Words in the slots that a template has: a quote may be its headline, the points of a list its steps, and what has
 * no slot of its own goes under the support as long as that is free.
 */
export function placedWords(
  { design }: Pick<Template, "design">,
  given: Wanted["words"],
): Record<string, string> {
  const slots = Object.keys(design.message);
  const words: Record<string, string> = Object.fromEntries(
    Object.entries(given).filter(([, text]) => text.trim() !== ""),
  );
  moveIntoFree(words, slots, RULING);
  moveIntoFree(words, slots, SAYING);
  intoSteps(words, slots);
  return words;
}

function moveIntoFree(
  words: Record<string, string>,
  slots: readonly string[],
  alike: readonly string[],
): void {
  for (const slot of alike) {
    if (!words[slot] || slots.includes(slot)) continue;
    const free = alike.find((other) => slots.includes(other) && !words[other]);
    if (!free) continue;
    words[free] = words[slot];
    delete words[slot];
  }
}

const POINT = /^\s*(?:[-•*]|\d+[.)])\s+/;

export const pointsOf = (list: string): string[] =>
  list
    .split("\n")
    .map((line) => line.replace(POINT, "").trim())
    .filter(Boolean);

function intoSteps(words: Record<string, string>, slots: readonly string[]): void {
  const steps = slots.filter((slot) => slot.startsWith("step-"));
  if (!words.list || slots.includes("list") || steps.length === 0) return;
  const points = pointsOf(words.list);
  if (points.length > steps.length) return;
  points.forEach((point, i) => {
    words[steps[i]!] = point;
    words[`number-${i + 1}`] = String(i + 1);
  });
  delete words.list;
}

/** The slots of a template that pictures fill, in its own order. */
export const pictureSlots = ({ design }: Pick<Template, "design">): string[] =>
  design.arrangement.flatMap(({ kind, role, slot }) =>
    kind === "picture" && role !== "logo" && slot ? [slot] : [],
  );

function picturesOf(template: Template, pictures: readonly FileId[]): Record<string, Filling> {
  const slots = pictureSlots(template).slice(0, pictures.length);
  return Object.fromEntries(slots.map((slot, i) => [slot, { picture: pictures[i]! }]));
}

/** A piece's design as a template of the house: its words are the sample, its pictures stay in their slots. */
export function designOf(piece: Piece): Design {
  const { kind, lead, frame, message, arrangement, sizes } = piece;
  return { kind, lead, ...(frame ? { frame } : {}), message, arrangement, sizes };
}

/**
 * A piece in the arrangement of a template: its message stays as it is, and the template's nodes take its slots, by
 * name or by what stands for it. Sizes and what was changed on them stay; a lead that is new comes to them.
 */
export function arrangedAs(piece: Piece, { design }: Template): Piece {
  const texts = Object.keys(piece.message).filter((slot) => isText(piece.message[slot]));
  const own = slotsFor(Object.keys(design.message), texts);
  const pictures = Object.keys(piece.message).filter((slot) => isPicture(piece.message[slot]));
  const framed = new Map(pictureSlots({ design }).map((slot, i) => [slot, pictures[i]]));
  const arrangement = design.arrangement.map((node) => {
    if (node.slot === undefined) return node;
    const { slot, ...rest } = node;
    const taken = node.kind === "picture" ? framed.get(slot) : own.get(slot);
    return { ...rest, slot: taken ?? slot };
  });
  const there = piece.sizes.some(({ placement }) => placement === design.lead);
  const lead = { placement: design.lead, changes: {} };
  const { frame: _frame, ...rest } = piece;
  return {
    ...rest,
    lead: design.lead,
    ...(design.frame ? { frame: design.frame } : {}),
    arrangement,
    sizes: there ? piece.sizes : [lead, ...piece.sizes],
  };
}

/** Which of a message's slots fills which of a template's; each is used once. */
function slotsFor(wanted: readonly string[], given: readonly string[]): Map<string, string> {
  const free = new Set(given);
  const found = new Map<string, string>();
  const take = (slot: string, from: string): void => {
    found.set(slot, from);
    free.delete(from);
  };
  for (const slot of wanted) if (free.has(slot)) take(slot, slot);
  for (const alike of [RULING, SAYING]) {
    for (const slot of wanted.filter((one) => alike.includes(one) && !found.has(one))) {
      const next = alike.find((one) => free.has(one));
      if (next) take(slot, next);
    }
  }
  return found;
}
