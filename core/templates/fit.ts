import { isText } from "../piece";
import type { Template } from "./template";
import { pictureSlots, placedWords, type Wanted } from "./use";

/** What it says for or against a template, by eye: words with a place, without one, and places without words. */
const HAS_PLACE = 2;
const OWN_KIND = 3;
const NO_PLACE = -3;
const EMPTY = -1;
const EMPTY_RULING = -6;
const LENGTH = 0.6;
const PICTURE = 1;

/** Kinds of words that a template is made for: an event without a price should not begin with a price tag. */
const MAKES_IT = ["price", "figure", "list", "quote", "step-1", "number-1", "left-1", "day-1"];
const RULES = ["headline", "quote"];

/** How well a template suits a message and a number of pictures; higher is better. */
export function fitOf(
  template: Template,
  { words, pictures }: Pick<Wanted, "words" | "pictures">,
): number {
  const placed = placedWords(template, words);
  const samples = Object.entries(template.design.message).filter(([, filling]) => isText(filling));
  let sum = 0;
  for (const [slot, sample] of samples) {
    const given = placed[slot]?.trim();
    if (!given)
      sum += RULES.includes(slot) ? EMPTY_RULING : MAKES_IT.includes(slot) ? 3 * EMPTY : EMPTY;
    else {
      sum += MAKES_IT.includes(slot) ? HAS_PLACE + OWN_KIND : HAS_PLACE;
      if (isText(sample)) sum -= LENGTH * Math.abs(Math.log2(given.length / sample.text.length));
    }
  }
  const homeless = Object.entries(placed).filter(
    ([slot, text]) => text.trim() && !(slot in template.design.message),
  );
  const wanted = pictureSlots(template).length;
  const apart = Math.abs(wanted - pictures.length);
  return (
    sum +
    NO_PLACE * homeless.length -
    PICTURE * (wanted > 0 && pictures.length === 0 ? wanted + 1 : apart)
  );
}

/** The templates that suit a message best first; those that suit alike stay in their order. */
export function fitting(
  templates: readonly Template[],
  wanted: Pick<Wanted, "words" | "pictures">,
): Template[] {
  const said = Object.values(wanted.words).some((text) => text.trim() !== "");
  if (!said) return [...templates];
  const scores = new Map(templates.map((template) => [template, fitOf(template, wanted)]));
  return [...templates].sort((a, b) => scores.get(b)! - scores.get(a)!);
}
