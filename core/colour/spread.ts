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
 * All ways of spreading a brand's colours that meet WCAG 2.2 contrast, best first:
 * words on the backdrop at 4.5 : 1, a headline too, the button's words on the button at 4.5 : 1,
 * and the button 3 : 1 against the backdrop where the brand allows it (1.4.11).
 */
export function spreads(colours: readonly Swatch[]): Spread[] {
  const found: { spread: Spread; score: number }[] = [];
  for (const backdrop of colours) {
    const readable = colours.filter((c) => contrast(c.hex, backdrop.hex) >= CONTRAST_TEXT);
    for (const words of readable) {
      for (const action of colours.filter((c) => c !== backdrop)) {
        const onAction = bestOn(action, [backdrop, words, ...colours]);
        if (!onAction) continue;
        const detail = readable.includes(action) ? action : words;
        const ornament = ornamentFor(colours, backdrop, action);
        const score = scoreOf({ backdrop, words, action, onAction, ornament });
        found.push({
          score,
          spread: {
            backdrop: backdrop.id,
            headline: words.id,
            support: words.id,
            detail: detail.id,
            action: action.id,
            "on-action": onAction.id,
            ornament: ornament.id,
            plate: action.id,
          },
        });
      }
    }
  }
  return found.sort((a, b) => b.score - a.score).map((entry) => entry.spread);
}

/** The first of `candidates` that reads on `ground`; the backdrop comes first to save a colour. */
const bestOn = (ground: Swatch, candidates: Swatch[]): Swatch | undefined =>
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

interface Dressed {
  backdrop: Swatch;
  words: Swatch;
  action: Swatch;
  onAction: Swatch;
  ornament: Swatch;
}

/** Our own weighing: the accent belongs on what is to be done, the ground is primary or paper. */
function scoreOf({ backdrop, words, action, onAction, ornament }: Dressed): number {
  const used = new Set([backdrop, words, action, onAction, ornament]).size;
  const ground = { primary: 3, paper: 2.5, secondary: 1.5 }[backdrop.role] ?? 0.5;
  const press = { accent: 2, primary: 1 }[action.role] ?? 0;
  const lettering = { paper: 1, ink: 1, primary: 1 }[words.role] ?? 0;
  const stands = contrast(action.hex, backdrop.hex) >= CONTRAST_LARGE ? 1.5 : 0;
  return ground + press + lettering + stands - 2 * Math.max(0, used - MOST_COLOURS);
}

export const sameSpread = (a: Spread, b: Spread): boolean =>
  ColourRole.options.every((role) => a[role] === b[role]);
