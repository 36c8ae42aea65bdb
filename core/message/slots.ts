/** What belongs into a slot, for whoever fills it; `usual` is how many characters read well. */
export interface SlotHint {
  name: string;
  hint: string;
  usual: number;
}

/** The slots that templates use, in the order in which a message is read. Lengths are common practice. */
export const slotHints: Readonly<Record<string, SlotHint>> = {
  kicker: { name: "Kicker", hint: "What it is about, in two or three words", usual: 24 },
  headline: { name: "Headline", hint: "What it is, so that a thumb stops", usual: 40 },
  quote: { name: "Quote", hint: "What somebody said, in their words", usual: 90 },
  author: { name: "Author", hint: "Who says it", usual: 40 },
  figure: { name: "Figure", hint: "One number", usual: 6 },
  support: { name: "Support", hint: "One sentence that the headline needs", usual: 80 },
  body: { name: "Body", hint: "What else must be said", usual: 140 },
  list: { name: "List", hint: "Three to five points, a line each", usual: 140 },
  date: { name: "Date", hint: "When", usual: 32 },
  place: { name: "Place", hint: "Where", usual: 32 },
  price: { name: "Price", hint: "What it costs", usual: 8 },
  terms: { name: "Terms", hint: "What the price depends on", usual: 24 },
  "call-to-action": {
    name: "Call to action",
    hint: "What to do, beginning with a verb",
    usual: 20,
  },
  handle: { name: "Handle", hint: "Where you are found", usual: 24 },
  site: { name: "Site", hint: "Your address on the web", usual: 30 },
};

/** A slot as a person calls it: `step-2` is “Step 2”. */
export const slotName = (slot: string): string =>
  slotHints[slot]?.name ?? slot.charAt(0).toUpperCase() + slot.slice(1).replaceAll("-", " ");
