import type { Brand } from "../brand";
import type { FileId } from "../files";
import {
  composedFrame,
  isPicture,
  isText,
  Piece,
  type Design,
  type DesignSlide,
  type Filling,
  type Node,
  type Slide,
} from "../piece";
import { outlineFromWords, type OutlineSlide, type PictureNames } from "../strip";
import { spreadFor } from "./moods";
import { slotsFor } from "./slots";
import { isStripTemplate, sampleOutline, tell, withoutPictures } from "./strip";
import type { Template } from "./template";

/** What a piece is to say and show: words by slot, and pictures in the order of importance. */
export interface Wanted {
  id: string;
  title: string;
  /** Without any words the template's own sample is shown. */
  words: Readonly<Record<string, string>>;
  pictures: readonly FileId[];
  /** The slides of a carousel, which count instead of the words, and what their pictures are called. */
  outline?: readonly OutlineSlide[] | undefined;
  names?: PictureNames | undefined;
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
    message: { ...messageOf(template, wanted), ...picturesOf(template, wanted.pictures) },
  });
  if (isStripTemplate(template)) return { ...piece, ...told(template, brand, piece, wanted) };
  return isSample(wanted) ? piece : arrangedAs(piece, template);
}

const isSample = ({ words, outline = [] }: Pick<Wanted, "words" | "outline">): boolean =>
  outline.length === 0 && Object.values(words).every((text) => text.trim() === "");

const NO_NAMES: PictureNames = { nameOf: (id) => id, idOf: () => undefined };

/** The slides of a new strip: what was given, or what its template says itself. */
function told(template: Template, brand: Brand, { spread }: Piece, wanted: Wanted) {
  const { outline = outlineFromWords(wanted.words), names = NO_NAMES, pictures } = wanted;
  const asDrawn = isSample(wanted);
  const drawn = asDrawn && pictures.length === 0 ? withoutPictures(template) : template;
  const said = asDrawn ? sampleOutline(drawn) : outline;
  return tell(drawn, brand, spread, { outline: said, names, pictures, asDrawn });
}

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

/** What was typed; a template's own words where nothing was, or where it keeps them whatever is said. */
function messageOf({ design, fixed }: Template, wanted: Wanted): Record<string, Filling> {
  if (isSample(wanted)) return design.message;
  const words = intoSteps(wanted.words, Object.keys(design.message));
  const kept = fixed.flatMap((slot): [string, Filling][] => {
    const filling = design.message[slot];
    return filling ? [[slot, filling]] : [];
  });
  const said = Object.entries(words).map(([slot, text]): [string, Filling] => [slot, { text }]);
  return Object.fromEntries([...said.filter(([, filling]) => isText(filling)), ...kept]);
}

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

/** The slots of a template that pictures fill, in its own order; of a carousel, on all its slides and across them. */
export const pictureSlots = ({ design }: Pick<Template, "design">): string[] => [
  ...(design.across ?? []).flatMap(({ kind, id }) => (kind === "picture" ? [id] : [])),
  ...[design, ...(design.slides ?? [])].flatMap(slotsOfPictures),
];

const slotsOfPictures = ({ arrangement }: Pick<Design, "arrangement">): string[] =>
  arrangement.flatMap(({ kind, role, slot }) =>
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
  const { kind, lead, frame, message, arrangement, sizes, slides, running, across } = piece;
  return {
    kind,
    lead,
    ...(frame ? { frame } : {}),
    message,
    arrangement,
    sizes,
    ...(slides ? { slides: slides.map(designSlide) } : {}),
    ...(running ? { running } : {}),
    ...(across ? { across } : {}),
  };
}

/** Colours of a slide's own are the brand's; another brand has its own on the opposite ground. */
const designSlide = ({ spread, shown: _shown, fine: _fine, ...slide }: Slide): DesignSlide =>
  spread ? { ...slide, turned: true } : slide;

/**
 * A piece in the arrangement of a template: its message stays as it is, and the template's nodes take its slots, by
 * name or by what stands for it. Sizes and what was changed on them stay; a lead that is new comes to them. It leaves its set.
 */
export function arrangedAs(piece: Piece, { design }: Pick<Template, "design">): Piece {
  const texts = Object.keys(piece.message).filter((slot) => isText(piece.message[slot]));
  const own = slotsFor(Object.keys(design.message), texts);
  const pictures = Object.keys(piece.message).filter((slot) => isPicture(piece.message[slot]));
  const framed = new Map(pictureSlots({ design }).map((slot, i) => [slot, pictures[i]]));
  const arrangement = design.arrangement.map((node) => {
    if (node.slot === undefined) return node;
    const taken = node.kind === "picture" ? framed.get(node.slot) : own.get(node.slot);
    return { ...node, slot: taken ?? node.slot };
  });
  const there = piece.sizes.some(({ placement }) => placement === design.lead);
  const lead = { placement: design.lead, changes: {} };
  const { frame: _frame, siblings: _siblings, ...rest } = piece;
  return withEmblem({
    ...rest,
    lead: design.lead,
    ...(design.frame ? { frame: design.frame } : {}),
    arrangement,
    sizes: there ? piece.sizes : [lead, ...piece.sizes],
  });
}
