import type { Role } from "../piece";

/** What belongs into a slot, for whoever fills it; `usual` is how many characters read well. */
export interface SlotHint {
  name: string;
  hint: string;
  usual: number;
  /** How its words are set where no template says so. */
  role: Role;
}

/** The slots that templates use, in the order in which a message is read. Lengths are common practice. */
export const slotHints: Readonly<Record<string, SlotHint>> = {
  kicker: {
    name: "Kicker",
    hint: "What it is about, in two or three words",
    usual: 24,
    role: "kicker",
  },
  headline: {
    name: "Headline",
    hint: "What it is, so that a thumb stops",
    usual: 40,
    role: "headline",
  },
  quote: { name: "Quote", hint: "What somebody said, in their words", usual: 90, role: "quote" },
  author: { name: "Author", hint: "Who says it", usual: 40, role: "byline" },
  figure: { name: "Figure", hint: "One number", usual: 6, role: "figure" },
  support: {
    name: "Support",
    hint: "One sentence that the headline needs",
    usual: 80,
    role: "support",
  },
  body: { name: "Body", hint: "What else must be said", usual: 140, role: "body" },
  list: { name: "List", hint: "Three to five points, a line each", usual: 140, role: "body" },
  date: { name: "Date", hint: "When", usual: 32, role: "byline" },
  place: { name: "Place", hint: "Where", usual: 32, role: "byline" },
  price: { name: "Price", hint: "What it costs", usual: 8, role: "price" },
  terms: { name: "Terms", hint: "What the price depends on", usual: 24, role: "byline" },
  "call-to-action": {
    name: "Call to action",
    hint: "What to do, beginning with a verb",
    usual: 20,
    role: "cta",
  },
  handle: { name: "Handle", hint: "Where you are found", usual: 24, role: "handle" },
  site: { name: "Site", hint: "Your address on the web", usual: 30, role: "site" },
};

const ORDER = Object.keys(slotHints);

/** Where a slot stands in the order of reading; one that nobody knows is read like body text. */
export const readingRank = (slot: string): number => {
  const at = ORDER.indexOf(slot);
  return at >= 0 ? at : ORDER.indexOf("body");
};

/** What a graphic rules by; one of them is enough. */
export const RULING_SLOTS: readonly string[] = ["headline", "quote", "figure"];
/** When, where and for how much: they stand together. */
export const FACT_SLOTS: readonly string[] = ["date", "place", "price", "terms"];
/** What a graphic was made for: never left out where there is room for a message at all. */
const NEVER_LEFT_OUT: ReadonlySet<string> = new Set([
  ...RULING_SLOTS,
  "date",
  "place",
  "price",
  "call-to-action",
]);
export const isFact = (slot: string): boolean => NEVER_LEFT_OUT.has(slot);

/** What runs through the slides of a strip, or across their folds, is called by what it is. */
function stripSlotName(slot: string): string | undefined {
  const [, runs] = /^running-(.+)$/.exec(slot) ?? [];
  if (runs !== undefined) return runs.charAt(0).toUpperCase() + runs.slice(1).replaceAll("-", " ");
  return slot.startsWith("across-") ? "Across the folds" : undefined;
}

/** A slot as a person calls it: `step-2` is “Step 2”. */
export const slotName = (slot: string): string =>
  slotHints[slot]?.name ??
  stripSlotName(slot) ??
  slot.charAt(0).toUpperCase() + slot.slice(1).replaceAll("-", " ");

/** Words that count the slides of a strip which have them, from the first or down to the last; nobody types them. */
export const COUNTED = { up: "running-number", down: "running-countdown" } as const;
export const isCounted = (slot: string): boolean => slot === COUNTED.up || slot === COUNTED.down;
