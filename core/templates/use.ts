import { brandSpreads, type Brand } from "../brand";
import { chromaOf, hexOf, luminance, type Spread } from "../colour";
import type { FileId } from "../files";
import { RULING_SLOTS } from "../message";
import {
  composedFrame,
  isPicture,
  isText,
  Piece,
  type Design,
  type Filling,
  type Node,
} from "../piece";
import type { Mood, Template } from "./template";

/** What a piece is to say and show: words by slot, and pictures in the order of importance. */
export interface Wanted {
  id: string;
  title: string;
  /** Without any words the template's own sample is shown. */
  words: Readonly<Record<string, string>>;
  pictures: readonly FileId[];
  /** BCP 47; the template's own when not given. */
  language?: string | undefined;
}

/** Where a new piece goes when its template does not say more than its own size; common practice. */
const USUAL = ["photo-feed-tall", "photo-feed-square", "story", "community-link", "microblog-wide"];
const USUAL_ADS = ["ad-medium-rectangle", "ad-leaderboard", "ad-half-page", "ad-phone-banner"];

function sizesOf({ kind, lead, sizes }: Design): Design["sizes"] {
  if (sizes.length > 1) return sizes;
  const usual = kind === "ad" ? USUAL_ADS : USUAL;
  return [...new Set([lead, ...usual])].map((placement) => ({ placement, changes: {} }));
}

/**
 * A new piece of a template in a brand. Its message is what was typed, slot by slot; the template's nodes show of it what
 * they can, and what they have no place for is added when the piece is laid out.
 */
export function pieceOf(template: Template, brand: Brand, wanted: Wanted): Piece {
  const { design, mood } = template;
  const piece = Piece.parse({
    format: "zestcrate/piece",
    version: 1,
    id: wanted.id,
    title: wanted.title,
    origin: { kind: "template", id: template.id, name: template.name },
    brand: brand.id,
    ...design,
    ...(wanted.language === undefined ? {} : { language: wanted.language }),
    sizes: sizesOf(design),
    spread: spreadFor(brand, mood),
    message: { ...messageOf(template, wanted.words), ...picturesOf(template, wanted.pictures) },
  });
  return isSample(wanted) ? piece : arrangedAs(piece, template);
}

const isSample = ({ words }: Pick<Wanted, "words">): boolean =>
  Object.values(words).every((text) => text.trim() === "");

/** A design that words make alone has the brand's mark behind them, where nothing else is drawn. */
function withEmblem(piece: Piece): Piece {
  const { arrangement, message } = piece;
  const drawn = arrangement.some(
    ({ kind, role }) => kind === "shape" && role !== "backdrop" && role !== "badge",
  );
  if (drawn || Object.values(message).some(isPicture)) return piece;
  const { width, height } = composedFrame(piece) ?? { width: 1080, height: 1080 };
  const emblem: Node = {
    id: "emblem",
    kind: "shape",
    role: "ornament",
    box: { x: 0.6 * width, y: height - 0.4 * width, width: 0.5 * width, height: 0.5 * width },
    style: { shape: "emblem" },
    unplaced: true,
  };
  const grounds = arrangement.filter(({ role }) => role === "backdrop");
  const rest = arrangement.filter(({ role }) => role !== "backdrop");
  return { ...piece, arrangement: [...grounds, emblem, ...rest] };
}

/** The first of a brand's spreads on such a ground; where there is none, the first that comes near it. */
export function spreadFor(brand: Brand, mood: Mood): Spread {
  const all = brandSpreads(brand);
  const near = mood === "light" ? undefined : all.find((spread) => !isMood(brand, spread, "light"));
  return all.find((spread) => isMood(brand, spread, mood)) ?? near ?? all[0] ?? {};
}

/** By eye: luminances of grounds that look dark or light, and the chroma from which one looks bright. */
const DARK = 0.16;
const LIGHT = 0.55;
const COLOURFUL = 0.09;

/** The ground that a brand's spread makes. */
export function moodOf(brand: Brand, spread: Spread): Mood {
  const whole = { ...brandSpreads(brand)[0], ...spread };
  return (
    (["dark", "light", "bright"] as const).find((mood) => isMood(brand, whole, mood)) ?? "light"
  );
}

/** A deep colour is a dark ground as much as a bright one. */
function isMood(brand: Brand, { backdrop }: Spread, mood: Mood): boolean {
  const hex = hexOf(brand.colours, backdrop ?? "");
  if (!hex) return false;
  const bright = luminance(hex);
  if (mood === "dark") return bright < DARK;
  const colourful = chromaOf(hex) >= COLOURFUL;
  return mood === "bright" ? colourful && bright >= DARK / 4 : !colourful && bright > LIGHT;
}

/** What was typed; a template's own words where nothing was, or where it keeps them whatever is said. */
function messageOf({ design, fixed }: Template, given: Wanted["words"]): Record<string, Filling> {
  if (isSample({ words: given })) return design.message;
  const words = intoSteps(given, Object.keys(design.message));
  const kept = fixed.flatMap((slot): [string, Filling][] => {
    const filling = design.message[slot];
    return filling ? [[slot, filling]] : [];
  });
  const said = Object.entries(words).map(([slot, text]): [string, Filling] => [slot, { text }]);
  return Object.fromEntries([...said.filter(([, filling]) => isText(filling)), ...kept]);
}

/** Slots that stand for each other where a template has only one of them; the ruling words come first. */
const RULING = RULING_SLOTS;
const SAYING = ["support", "body"];

const POINT = /^\s*(?:[-•*]|\d+[.)])\s+/;

export const pointsOf = (list: string): string[] =>
  list
    .split("\n")
    .map((line) => line.replace(POINT, "").trim())
    .filter(Boolean);

/** The points of a list as the steps of a template that has as many, each with its number. */
function intoSteps(given: Wanted["words"], slots: readonly string[]): Record<string, string> {
  const words = Object.fromEntries(Object.entries(given).filter(([, text]) => text.trim() !== ""));
  const steps = slots.filter((slot) => slot.startsWith("step-"));
  if (!words.list || slots.includes("list") || steps.length === 0) return words;
  const points = pointsOf(words.list);
  if (points.length > steps.length) return words;
  const { list: _list, ...rest } = words;
  return Object.assign(
    rest,
    ...points.map((point, i) => ({ [`number-${i + 1}`]: String(i + 1), [steps[i]!]: point })),
  ) as Record<string, string>;
}

/** The slots of a template that pictures fill, in its own order. */
export const pictureSlots = ({ design }: Pick<Template, "design">): string[] =>
  design.arrangement.flatMap(({ kind, role, slot }) =>
    kind === "picture" && role !== "logo" && slot ? [slot] : [],
  );

/** In the template's own slots, and those that it has no frame for in slots that are named like them. */
function picturesOf(template: Template, pictures: readonly FileId[]): Record<string, Filling> {
  const slots = pictureSlots(template);
  for (let i = 1; slots.length < Math.min(pictures.length, MOST_PICTURES); i++) {
    const slot = i === 1 ? "picture" : `picture-${i}`;
    if (!slots.includes(slot)) slots.push(slot);
  }
  return Object.fromEntries(
    slots.flatMap((slot, i) => (pictures[i] ? [[slot, { picture: pictures[i] }]] : [])),
  );
}

/** A graphic of more pictures than that is an album. Common practice. */
const MOST_PICTURES = 5;

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
  return withEmblem({
    ...rest,
    lead: design.lead,
    ...(design.frame ? { frame: design.frame } : {}),
    arrangement,
    sizes: there ? piece.sizes : [lead, ...piece.sizes],
  });
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
