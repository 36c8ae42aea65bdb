import { converter } from "culori";
import { z } from "zod";
import { CONTRAST_GRAPHIC, CONTRAST_TEXT, contrast, type Hex } from "./colour";
import { difference } from "./difference";
import { baseId, calmTint, hexOf, TINT_STEPS, tintId } from "./tint";

/** The parts that an arrangement can colour. `action` is a button's plate, `on-action` its words. */
export const ColourRole = z.enum([
  "backdrop",
  "headline",
  "support",
  "detail",
  "action",
  "on-action",
  "ornament",
  "plate",
  "on-plate",
]);
export type ColourRole = z.infer<typeof ColourRole>;

/** Which of the brand's colours or their tints (by id) each part takes. */
export const Spread = z.partialRecord(ColourRole, z.string());
export type Spread = z.infer<typeof Spread>;

interface Swatch {
  id: string;
  hex: Hex;
  role: string;
  /** The colour that it is a tint of. */
  base?: Hex;
}

/** Common practice: a graphic has two or three colours; a tint counts as its colour. */
const MOST_COLOURS = 3;
/** So many are put in an order of variety; whoever walks further than this meets them by score. */
const VARIED = 36;

/**
 * All ways of spreading a brand's colours that meet WCAG 2.2 contrast, three colours at most: words on the
 * backdrop and on the button at 4.5 : 1 (1.4.3), and the button against the backdrop at 3 : 1 (1.4.11) unless
 * the brand has no such pair. The best is first; those after it differ from what came before them.
 */
export function spreads(colours: readonly Swatch[]): Spread[] {
  const own = triads(colours);
  // Colours that do not read on each other are written on in their own deep and pale tints.
  const all = own.length > 0 ? own : triads([...colours, ...colours.flatMap(farTints)]);
  const standing = all.filter(({ action, backdrop }) => stands(action, backdrop));
  const best = standing.length > 0 ? standing : all;
  return byVariety(best.map((triad) => ({ triad, score: scoreOf(triad) }))).map(toSpread);
}

const triads = (colours: readonly Swatch[]): Triad[] =>
  colours.flatMap((backdrop) =>
    colours
      .filter((words) => contrast(words.hex, backdrop.hex) >= CONTRAST_TEXT)
      .flatMap((words) => colours.flatMap((third) => withActions(backdrop, words, third))),
  );

const DEEP_AND_PALE = [17, 34, 97] as const;

const farTints = (swatch: Swatch): Swatch[] =>
  DEEP_AND_PALE.map((step) => {
    const id = tintId(swatch.id, step);
    const role = { 17: "ink", 34: "secondary", 97: "paper" }[step];
    return { id, hex: hexOf([swatch], id)!, role, base: swatch.hex };
  });

interface Triad {
  backdrop: Swatch;
  words: Swatch;
  /** Neither ground nor words; the words' own where the brand needs no third. */
  third: Swatch;
  action: Swatch;
  onAction: Swatch;
  plate: Swatch;
  onPlate: Swatch;
  /** By id: often a tint of the backdrop. */
  ornament: string;
}

/** The third colour is either for what is to be done, or, where it is calm on the ground, for the ornament. */
function withActions(backdrop: Swatch, words: Swatch, third: Swatch): Triad[] {
  if (third === backdrop) return [];
  const base = { backdrop, words, third };
  const onThird = readableOn(third, [backdrop, words]);
  const pressing = onThird && {
    ...base,
    action: third,
    onAction: onThird,
    plate: third,
    onPlate: onThird,
    ornament: calmTint(backdrop, backdrop.base),
  };
  if (third === words) return pressing ? [pressing] : [];
  const calm = contrast(third.hex, backdrop.hex);
  const decorated = calm >= CALMEST &&
    calm < CONTRAST_GRAPHIC && {
      ...base,
      action: words,
      onAction: backdrop,
      plate: words,
      onPlate: backdrop,
      ornament: third.id,
    };
  return [...(pressing ? [pressing] : []), ...(decorated ? [decorated] : [])];
}

/** An ornament is seen, not read: less than this is lost on its ground. */
const CALMEST = 1.2;

const stands = (a: Swatch, b: Swatch): boolean => contrast(a.hex, b.hex) >= CONTRAST_GRAPHIC;

/** The first of `candidates` that reads on `ground`. */
const readableOn = (ground: Swatch, candidates: Swatch[]): Swatch | undefined =>
  candidates.find((c) => contrast(c.hex, ground.hex) >= CONTRAST_TEXT);

const toSpread = ({
  backdrop,
  words,
  action,
  onAction,
  plate,
  onPlate,
  ornament,
}: Triad): Spread => ({
  backdrop: backdrop.id,
  headline: words.id,
  support: words.id,
  detail: detailOn(backdrop, words, action),
  action: action.id,
  "on-action": onAction.id,
  ornament,
  plate: plate.id,
  "on-plate": onPlate.id,
});

const wholeOf = ({ id, hex, base = hex }: Swatch) => ({ id: baseId(id), hex: base });

/** Farther from the words than this (CIEDE2000), a tint is seen as another colour. By eye. */
const TOLD_APART = 9;

/**
 * What facts and kickers stand out by: the colour of what is to be done where that reads as text, else the tint of it, or
 * of the ground, that reads and is told from the words; else the words' own.
 */
function detailOn(backdrop: Swatch, words: Swatch, action: Swatch): string {
  const works = (hex: Hex): boolean =>
    contrast(hex, backdrop.hex) >= CONTRAST_TEXT && difference(hex, words.hex) >= TOLD_APART;
  if (works(action.hex)) return action.id;
  for (const swatch of [action, backdrop]) {
    const tint = [...TINT_STEPS]
      .map((step) => tintId(baseId(swatch.id), step))
      .map((id) => ({ id, hex: hexOf([wholeOf(swatch)], id)! }))
      .filter(({ hex }) => works(hex))
      .sort((a, b) => difference(a.hex, swatch.hex) - difference(b.hex, swatch.hex))[0];
    if (tint) return tint.id;
  }
  return words.id;
}

/** Our own weighing: the accent belongs on what is to be done, the ground is primary or paper. */
function scoreOf({ backdrop, words, third, action }: Triad): number {
  const ground = { primary: 3, paper: 2.5, secondary: 1.5 }[backdrop.role] ?? 0.5;
  const press = { accent: 2, primary: 1 }[action.role] ?? 0;
  const lettering = { paper: 1, ink: 1, primary: 1 }[words.role] ?? 0;
  return ground + press + lettering + harmony(backdrop.hex, third.hex);
}

const toOklch = converter("oklch");
/** Below this chroma a colour goes with every hue. */
const NEUTRAL = 0.04;

/**
 * How well two colours go together, 0..1: neutrals with all, near hues and opposite ones with each other, and
 * those at a right angle least. The classical colour wheel's rule, on Oklch's hue; the numbers are our own.
 */
function harmony(a: Hex, b: Hex): number {
  const [first, second] = [toOklch(a), toOklch(b)];
  if (!first || !second || first.c < NEUTRAL || second.c < NEUTRAL) return 0.6;
  const apart = (Math.abs((first.h ?? 0) - (second.h ?? 0)) * Math.PI) / 180;
  return 0.5 + 0.5 * Math.cos(2 * apart);
}

interface Scored {
  triad: Triad;
  score: number;
}

/** The best first, then each time the one that is good and unlike those before it. */
function byVariety(all: Scored[]): Triad[] {
  const rest = [...all].sort((a, b) => b.score - a.score);
  const liked: Triad[] = [];
  const likeness = rest.map(() => 0);
  while (rest.length > 0 && liked.length < VARIED) {
    let best = 0;
    const worth = (i: number) => rest[i]!.score - SAME * likeness[i]!;
    rest.forEach((_, i) => {
      if (worth(i) > worth(best)) best = i;
    });
    const [{ triad }] = rest.splice(best, 1) as [Scored];
    likeness.splice(best, 1);
    liked.push(triad);
    rest.forEach((other, i) => (likeness[i] = Math.max(likeness[i]!, alike(triad, other.triad))));
  }
  return [...liked, ...rest.map(({ triad }) => triad)];
}

/** What looking like one that was shown already costs, in points of score. */
const SAME = 5;

/** How alike two spreads look, 0..1: the ground rules, then what is to be pressed. */
const alike = (a: Triad, b: Triad): number =>
  (a.backdrop === b.backdrop ? 0.6 : 0) +
  (a.action === b.action ? 0.2 : 0) +
  (a.words === b.words ? 0.1 : 0) +
  (a.third === b.third ? 0.1 : 0);

/** How many of the brand's colours a spread has; a tint counts as its colour. */
export const coloursIn = (spread: Spread): number =>
  new Set(Object.values(spread).map((id) => baseId(id))).size;

export const withinLimit = (spread: Spread): boolean => coloursIn(spread) <= MOST_COLOURS;

export const sameSpread = (a: Spread, b: Spread): boolean =>
  ColourRole.options.every((role) => a[role] === b[role]);
