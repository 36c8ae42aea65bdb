import type { Brand } from "../brand";
import type { Spread } from "../colour";
import type { FileId } from "../files";
import { freeId } from "../id";
import { isCounted } from "../message";
import {
  isPicture,
  type Across,
  type DesignSlide,
  type Filling,
  type Node,
  type Piece,
  type Slide,
  type SlideRole,
} from "../piece";
import { outlineOf, rolesOf, wordsIn, type OutlineSlide, type PictureNames } from "../strip";
import { slotsFor } from "./slots";
import { turnedSpread } from "./moods";
import type { Template } from "./template";

/** A design of more than one slide. */
export const isStripTemplate = ({ design }: Pick<Template, "design">): boolean =>
  (design.slides ?? []).length > 0;

/** A title that is a picture, or one that runs through: without any it is half empty. */
export const needsPictures = ({ design }: Pick<Template, "design">): boolean =>
  pictureNodes(design.arrangement).length > 0 ||
  (design.across ?? []).some(({ kind }) => kind === "picture");

interface Telling {
  outline: readonly OutlineSlide[];
  names: PictureNames;
  /** Pictures for slides and panoramas that have a place for one and that the outline gives none. */
  pictures: readonly FileId[];
  /** The design's own slides in their order, whatever they say. */
  asDrawn?: boolean;
}

type Made = Pick<Piece, "message" | "arrangement"> & Partial<Pick<Piece, "slides" | "across">>;

/**
 * The slides of an outline in the arrangements of a design: each takes that of its role that suits what it says, and
 * neighbours take different ones where there are several. Fewer slides than the design has, or more, are as well.
 */
export function tell(
  { design }: Pick<Template, "design">,
  brand: Brand,
  spread: Spread,
  { outline, names, pictures, asDrawn = false }: Telling,
): Made {
  const [title, ...rest] = outline;
  const more = [...pictures];
  // Words across the folds of a design are its sample's; another strip says its own.
  const drawn = (design.across ?? []).filter(({ kind }) => asDrawn || kind !== "text");
  const across = acrossFor({ ...design, across: drawn }, outline.length, more);
  const first = filled(design, title ?? { words: [], pictures: [] }, names, more);
  const roles = rolesOf(outline.map(({ words }) => Object.fromEntries(words)));
  const { slides: models = [] } = design;
  const used: DesignSlide[] = [];
  const turned = turnedSpread(brand, spread);
  const slides = rest.map((slide, index): Slide => {
    const role = roles[index + 1]!;
    const isLast = index === rest.length - 1;
    const suited = { ...slide, role: isLast ? ending(role) : role, mayShow: more.length > 0 };
    const model = asDrawn ? models[index] : modelFor(models, suited, used);
    if (model) used.push(model);
    const made = filled(model ?? design, slide, names, more);
    return {
      id: `slide-${index + 2}`,
      ...made,
      ...(model?.turned ? { spread: turned } : {}),
      sizes: model?.sizes ?? [],
    };
  });
  return { ...first, slides, ...(across.length > 0 ? { across } : {}) };
}

/** The last slide closes, whatever it says. */
const ending = (role: SlideRole): SlideRole =>
  role === "proof" || role === "point" ? "ask" : role;

/** What may stand for a role where a design has no slide for it. */
const INSTEAD: Readonly<Record<SlideRole, readonly SlideRole[]>> = {
  title: [],
  context: ["point"],
  point: ["context", "proof"],
  proof: ["point"],
  summary: ["point", "ask"],
  ask: ["summary", "point"],
};

/** By eye: what an arrangement is worth for its role, for having a place for what is said, and against being seen again. */
const ROLE = 6;
const INSTEAD_ROLE = 2;
const HAS_PLACE = 3;
const EMPTY_PLACE = 0.8;
const NO_PICTURE = 3;
const JUST_USED = 1.2;
const USED = 0.4;

function modelFor(
  models: readonly DesignSlide[],
  { words, pictures, role, mayShow }: OutlineSlide & { role: SlideRole; mayShow: boolean },
  used: readonly DesignSlide[],
): DesignSlide | undefined {
  const given = new Set(words.map(([slot]) => slot));
  const worth = (model: DesignSlide): number => {
    const places = textSlots(model.arrangement);
    const missed = [...given].filter((slot) => !places.has(slot)).length;
    const empty = [...places].filter((slot) => !given.has(slot)).length;
    const frames = pictureNodes(model.arrangement).length;
    const shown = pictures.length > 0 ? pictures.length : mayShow ? Math.min(1, frames) : 0;
    return (
      (model.role === role
        ? ROLE
        : INSTEAD[role].includes(model.role ?? "point")
          ? INSTEAD_ROLE
          : 0) -
      HAS_PLACE * missed -
      EMPTY_PLACE * empty -
      NO_PICTURE * Math.abs(frames - shown) -
      (used.at(-1) === model ? JUST_USED : 0) -
      USED * used.filter((one) => one === model).length
    );
  };
  let best: DesignSlide | undefined;
  for (const model of models) if (!best || worth(model) > worth(best)) best = model;
  return best;
}

const textSlots = (arrangement: readonly Node[]): Set<string> =>
  new Set(
    arrangement.flatMap(({ kind, slot }) =>
      kind === "text" && slot && !isCounted(slot) ? [slot] : [],
    ),
  );

const pictureNodes = (arrangement: readonly Node[]): Node[] =>
  arrangement.filter(({ kind, role, slot }) => kind === "picture" && role !== "logo" && slot);

/** A slide that says and shows what was given, in an arrangement; nodes that would be empty are not in it. */
function filled(
  { arrangement, message: sample }: Pick<DesignSlide, "arrangement" | "message">,
  { words, pictures }: OutlineSlide,
  { idOf }: PictureNames,
  more: FileId[],
): Pick<Slide, "message" | "arrangement"> {
  const own = slotsFor(
    [...textSlots(arrangement)],
    words.map(([slot]) => slot),
  );
  const given = pictures.flatMap(({ name, alt }): Filling[] => {
    const picture = idOf(name);
    return picture ? [{ picture, ...(alt ? { alt } : {}) }] : [];
  });
  const frames = pictureNodes(arrangement).map(({ slot }) => slot!);
  const shown = new Map<string, Filling>();
  for (const slot of frames) {
    const next = given.shift() ?? standIn(sample[slot], more.shift());
    if (next) shown.set(slot, next);
  }
  given.forEach((filling, i) => shown.set(freeSlot(shown, i), filling));
  const isFilled = ({ kind, role, slot }: Node): boolean => {
    if (!slot || role === "logo" || isCounted(slot)) return true;
    return kind === "text" ? own.has(slot) : kind !== "picture" || shown.has(slot);
  };
  return {
    message: Object.fromEntries([
      ...words.map(([slot, text]): [string, Filling] => [slot, { text }]),
      ...shown,
    ]),
    arrangement: withoutLost(
      arrangement.filter(isFilled).map((node) => {
        const taken = node.kind === "text" && node.slot ? own.get(node.slot) : undefined;
        return taken ? { ...node, slot: taken } : node;
      }),
    ),
  };
}

const standIn = (sample: Filling | undefined, picture: FileId | undefined): Filling | undefined =>
  picture ? { picture } : isPicture(sample) ? sample : undefined;

function freeSlot(taken: ReadonlyMap<string, Filling>, from: number): string {
  for (let i = from; ; i++) {
    const slot = i === 0 ? "picture" : `picture-${i + 1}`;
    if (!taken.has(slot)) return slot;
  }
}

/** What sits on, or keeps with, a node that is not there goes with it; words stand by themselves. */
function withoutLost(arrangement: Node[]): Node[] {
  const ids = new Set(arrangement.map(({ id }) => id));
  return arrangement.flatMap((node) => {
    if (node.on === undefined || ids.has(node.on)) return [node];
    const { on: _on, ...rest } = node;
    return node.kind === "text" ? [rest] : [];
  });
}

/**
 * What runs across the folds of a design, over another number of slides: drawings are stretched with the strip; a picture
 * keeps about its shape and comes again, the next that is wanted where there is one, up to the slides that it leaves free at the end.
 */
function acrossFor(
  { across = [], slides = [] }: Template["design"],
  count: number,
  pictures: FileId[],
): Across[] {
  const drawn = 1 + slides.length;
  const stretch = count / drawn;
  return across.flatMap((one): Across[] => {
    const { x, width } = one.at;
    if (one.kind !== "picture")
      return [{ ...one, at: { ...one.at, x: x * stretch, width: width * stretch } }];
    const room = Math.max(1, count - x - Math.max(0, drawn - x - width));
    const times = Math.max(1, Math.round(room / width));
    let { picture } = one;
    return Array.from({ length: times }, (_, i) => i).flatMap((i): Across[] => {
      picture = pictures.shift() ?? picture;
      const at = { ...one.at, x: x + (i * room) / times, width: room / times };
      return picture ? [{ ...one, id: i === 0 ? one.id : `${one.id}-${i + 1}`, picture, at }] : [];
    });
  });
}

/** A design without the slides that are made for pictures, which would be half empty where there are none. */
export const withoutPictures = ({
  design,
}: Pick<Template, "design">): Pick<Template, "design"> => ({
  design: {
    ...design,
    slides: (design.slides ?? []).filter(
      ({ arrangement, message }) =>
        pictureNodes(arrangement).length === 0 || Object.values(message).some(isPicture),
    ),
  },
});

/** What a design says itself, slide by slide. */
export const sampleOutline = ({ design }: Pick<Template, "design">): OutlineSlide[] =>
  [design, ...(design.slides ?? [])].map(({ message }) => ({
    words: Object.entries(wordsIn(message)),
    pictures: [],
  }));

/** What is called by its id, whatever its name. */
const BY_ID: PictureNames = { nameOf: (id) => id, idOf: (id) => id };

/** Words across folds stay; a picture there keeps what is said of it and how much of it is shown. */
function keptAcross(before: readonly Across[], made: readonly Across[]): Across[] {
  const words = before.filter(({ kind }) => kind === "text");
  const shown = made.map((one): Across => {
    const own = one.picture && before.find(({ picture }) => picture === one.picture);
    if (!own) return one;
    const { framing } = own.style;
    const style = framing ? { ...one.style, framing } : one.style;
    return { ...one, style, ...(own.alt ? { alt: own.alt } : {}) };
  });
  const taken = new Set(shown.map(({ id }) => id));
  return [...shown, ...words.map((one) => ({ ...one, id: freeId(one.id, taken) }))];
}

/** The strip in the arrangements of another set: what it says and shows stays, slide by slide, and so do its colours. */
export function inSet(strip: Piece, { design }: Pick<Template, "design">, brand: Brand): Piece {
  const outline = outlineOf(strip, BY_ID);
  const pictures = (strip.across ?? []).flatMap(({ picture }) => picture ?? []);
  const made = tell({ design }, brand, strip.spread, { outline, names: BY_ID, pictures });
  const { across: before = [], frame: _frame, ...rest } = strip;
  const across = keptAcross(before, made.across ?? []);
  const { lead, frame, running = [] } = design;
  const isThere = strip.sizes.some(({ placement }) => placement === lead);
  const own = new Map((strip.running ?? []).map(({ kind, text }) => [kind, text]));
  return {
    ...rest,
    ...made,
    kind: "carousel",
    lead,
    ...(frame ? { frame } : {}),
    ...(across.length > 0 ? { across } : {}),
    message: withOwn(made.message, strip.message),
    sizes: isThere ? strip.sizes : [{ placement: lead, changes: {} }, ...strip.sizes],
    slides: (made.slides ?? []).map((slide, index): Slide => {
      const before = strip.slides?.[index];
      if (!before) return slide;
      const { id, role, sizes } = before;
      const message = withOwn(slide.message, before.message);
      return { ...slide, id, ...(role ? { role } : {}), sizes, message };
    }),
    running: running.map((one) => {
      const text = own.get(one.kind) ?? one.text;
      return text === undefined ? one : { ...one, text };
    }),
  };
}

/** A message with all that was known of its fillings: other wordings, what is in a picture. */
function withOwn(message: Piece["message"], before: Piece["message"]): Piece["message"] {
  const pictures = new Map(
    Object.values(before).flatMap((one) => (isPicture(one) ? [[one.picture, one] as const] : [])),
  );
  return Object.fromEntries(
    Object.entries(message).map(([slot, filling]) => [
      slot,
      isPicture(filling) ? (pictures.get(filling.picture) ?? filling) : (before[slot] ?? filling),
    ]),
  );
}
