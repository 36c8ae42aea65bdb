import { z } from "zod";
import { CONTRAST_LARGE, CONTRAST_TEXT, contrast, type Hex } from "./colour";

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

/** Which of the brand's colours (by id) each part takes. */
export const Spread = z.partialRecord(ColourRole, z.string());
export type Spread = z.infer<typeof Spread>;

interface Swatch {
  id: string;
  hex: Hex;
  role: string;
}

/** Common practice: more than this many colours in one graphic looks unplanned. */
const MOST_COLOURS = 4;

/**
 * All ways of spreading a brand's colours that meet WCAG 2.2 contrast, best first: words on the
 * backdrop and on the button at 4.5 : 1 (1.4.3), and the button against the backdrop at 3 : 1
 * (1.4.11) unless the brand has no such pair.
 */
export function spreads(colours: readonly Swatch[]): Spread[] {
  const all = colours.flatMap((backdrop) =>
    colours
      .filter((words) => contrast(words.hex, backdrop.hex) >= CONTRAST_TEXT)
      .flatMap((words) =>
        colours.flatMap((action) => dress(colours, backdrop, words, action) ?? []),
      ),
  );
  const standing = all.filter(({ action, backdrop }) => stands(action, backdrop));
  const best = standing.length > 0 ? standing : all;
  return best.sort((a, b) => scoreOf(b) - scoreOf(a)).map(toSpread);
}

interface Dressed {
  backdrop: Swatch;
  words: Swatch;
  detail: Swatch;
  action: Swatch;
  onAction: Swatch;
  ornament: Swatch;
  plate: Swatch;
  onPlate: Swatch;
}

function dress(
  colours: readonly Swatch[],
  backdrop: Swatch,
  words: Swatch,
  action: Swatch,
): Dressed | undefined {
  if (action === backdrop) return undefined;
  const onAction = readableOn(action, [backdrop, words, ...colours]);
  if (!onAction) return undefined;
  const accent = colours.find((c) => c.role === "accent" && c !== backdrop);
  const plate = accent && stands(accent, backdrop) ? accent : action;
  const onPlate = readableOn(plate, [words, backdrop, ...colours]);
  if (!onPlate) return undefined;
  const detail = contrast(action.hex, backdrop.hex) >= CONTRAST_TEXT ? action : words;
  const ornament = ornamentFor(colours, backdrop, action);
  return { backdrop, words, detail, action, onAction, ornament, plate, onPlate };
}

const stands = (a: Swatch, b: Swatch): boolean => contrast(a.hex, b.hex) >= CONTRAST_LARGE;

const toSpread = (dressed: Dressed): Spread => ({
  backdrop: dressed.backdrop.id,
  headline: dressed.words.id,
  support: dressed.words.id,
  detail: dressed.detail.id,
  action: dressed.action.id,
  "on-action": dressed.onAction.id,
  ornament: dressed.ornament.id,
  plate: dressed.plate.id,
  "on-plate": dressed.onPlate.id,
});

/** The first of `candidates` that reads on `ground`; colours in use come first, to save one. */
const readableOn = (ground: Swatch, candidates: Swatch[]): Swatch | undefined =>
  candidates.find((c) => contrast(c.hex, ground.hex) >= CONTRAST_TEXT);

/** An ornament is seen, not read: the calmest colour that is neither ground nor button. */
function ornamentFor(colours: readonly Swatch[], backdrop: Swatch, action: Swatch): Swatch {
  const rest = colours.filter((c) => c !== backdrop && c !== action);
  const calm = rest
    .map((c) => ({ c, ratio: contrast(c.hex, backdrop.hex) }))
    .filter(({ ratio }) => ratio >= 1.2)
    .sort((a, b) => a.ratio - b.ratio);
  return calm[0]?.c ?? action;
}

/** Our own weighing: the accent belongs on what is to be done, the ground is primary or paper. */
function scoreOf({ backdrop, words, action, onAction, ornament }: Dressed): number {
  const used = new Set([backdrop, words, action, onAction, ornament]).size;
  const ground = { primary: 3, paper: 2.5, secondary: 1.5 }[backdrop.role] ?? 0.5;
  const press = { accent: 2, primary: 1 }[action.role] ?? 0;
  const lettering = { paper: 1, ink: 1, primary: 1 }[words.role] ?? 0;
  return ground + press + lettering - 2 * Math.max(0, used - MOST_COLOURS);
}

export const sameSpread = (a: Spread, b: Spread): boolean =>
  ColourRole.options.every((role) => a[role] === b[role]);
